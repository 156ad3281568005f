import { effect, linkedSignal, type Signal, type WritableSignal } from '@angular/core';
import type * as z from 'zod';
import { keepHere, keptHere } from '../../services/kept-here';

/**
 * What is typed or weighed while a coat is laid, before its press writes it down: another one's where `of` changes, kept in this
 * browser meanwhile, so that a page that is reloaded in the middle of a pour forgets none of it.
 * @param of key of what it is of; null of nothing
 */
export function whileLaying<Value extends object>(
  of: Signal<string | null>,
  schema: z.ZodType<Value>,
  nothing: Value,
): WritableSignal<Value> {
  const value = linkedSignal<string | null, Value>({
    source: of,
    computation: (key) => (key === null ? nothing : (read(keptHere(key), schema) ?? nothing)),
  });
  effect(() => {
    const [key, now] = [of(), value()];
    if (key !== null) keepHere(key, now === nothing || Object.keys(now).length === 0 ? null : JSON.stringify(now));
  });
  return value;
}

/** What another version of this page left is of no use. */
function read<Value>(text: string | null, schema: z.ZodType<Value>): Value | null {
  if (text === null) return null;
  try {
    return schema.parse(JSON.parse(text));
  } catch (error) {
    console.warn('What was weighed here before can’t be read', error);
    return null;
  }
}

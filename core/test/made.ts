import type { CoatId } from '../src';
import { logEntrySchema, makeOf, type LogEntry, type Make, type MakeId } from '../src/make';
import { demoFile, demoNames, workshop } from './workshop';

/* Makes of the demo's designs, and what is written into their logs. */
export const AT = '2026-11-28T08:00:00.000Z';
export const START = Date.parse(AT);
export const MINUTE = 60_000;
export const made = (name: (typeof demoNames)[number] = 'copper-eaves', cups = 1): Make =>
  makeOf({ id: 'm' as MakeId, cups, label: '' }, { design: demoFile(name).design, revision: 3, workshop, number: 1, at: AT });
let written = 0;
export const entry = (minutes: number, what: object): LogEntry =>
  logEntrySchema.parse({ id: `e${(written += 1)}`, at: new Date(START + minutes * MINUTE).toISOString(), ...what });
export const coatOf = (make: Make, kind: string): Make['steps'][number] => {
  const step = make.steps.find((one) => one.kind === kind);
  if (!step) throw new Error(`no ${kind}`);
  return step;
};
/** Everything up to a coat done, a minute each. */
export const upTo = (make: Make, coat: CoatId): LogEntry[] =>
  make.steps
    .slice(
      0,
      make.steps.findIndex((step) => step.coat === coat),
    )
    .map((step, i) => entry(i, { what: 'done', coat: step.coat }));
/** Made as planned, to the minute; `poured` by coat where it was other. */
export function asPlanned(make: Make, poured: Readonly<Record<string, Record<string, number>>> = {}, late = 0): LogEntry[] {
  let at = 0;
  return make.steps.flatMap((step) => {
    const begun = at;
    at += step.handsOn;
    const done = at;
    at += step.wait.minutes + late;
    return [
      entry(begun, { what: 'begun', coat: step.coat }),
      entry(done, { what: 'done', coat: step.coat, poured: poured[step.coat] ?? {} }),
    ];
  });
}

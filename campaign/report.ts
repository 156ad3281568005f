/** What a part of the campaign did and found. */
export interface Part {
  readonly name: string;
  /** how much was tried, in words of its own */
  readonly tried: Map<string, number>;
  /** what went wrong, each with what it takes to see it again */
  readonly faults: string[];
}

export const newPart = (name: string): Part => ({ name, tried: new Map(), faults: [] });

export const count = (part: Part, what: string, by = 1): unknown => part.tried.set(what, (part.tried.get(what) ?? 0) + by);

export function fault(part: Part, what: string, error: unknown): void {
  const reason = error instanceof Error ? (error.stack ?? error.message).split('\n').slice(0, 4).join(' | ') : String(error);
  part.faults.push(`${part.name}: ${what}: ${reason}`);
  process.stdout.write(`FAULT ${part.faults[part.faults.length - 1]}\n`);
}

/** The last lines: what was tried, what was found. */
export function summary(parts: readonly Part[], seed: number, minutes: number): string {
  const lines = parts.map(
    ({ name, tried, faults }) =>
      `${name}: ${[...tried].map(([what, many]) => `${many} ${what}`).join(', ') || 'nothing tried'}; ${faults.length} faults`,
  );
  const faults = parts.reduce((sum, part) => sum + part.faults.length, 0);
  return [...lines, `campaign of ${minutes} min, seed ${seed}: ${faults === 0 ? 'clean' : `${faults} faults`}`].join('\n');
}

/** The median time of a piece of work, ms, after a warm-up. */
export function medianOf(rounds: number, work: (round: number) => void): number {
  work(-1);
  return share(
    Array.from({ length: rounds }, (_, round) => {
      const start = performance.now();
      work(round);
      return performance.now() - start;
    }),
    0.5,
  );
}

/** As `medianOf`, for work that is waited for. */
export async function medianOfAsync(rounds: number, work: (round: number) => Promise<void>): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    await work(round);
    times.push(performance.now() - start);
  }
  return share(times, 0.5);
}

/** The value that so large a share of some lie under: 0.5 for the median. */
export function share(values: readonly number[], part: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];
}

/** A work and the plain one it is held against, by turns in one run: the median of five ratios, and how far they swing. */
export async function ratioOf(work: () => unknown, plain: () => unknown, rounds = 5): Promise<Ratio> {
  const timed = async (one: () => unknown) => {
    const start = performance.now();
    await one();
    return performance.now() - start;
  };
  await work();
  await plain();
  const ratios: number[] = [];
  const works: number[] = [];
  const plains: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const took = await timed(work);
    // The plain one is short: the middle of many, so that one late tick doesn't count.
    const short: number[] = [];
    for (let i = 0; i < 9; i += 1) short.push(await timed(plain));
    works.push(took);
    plains.push(share(short, 0.5));
    ratios.push(took / plains[round]);
  }
  ratios.sort((a, b) => a - b);
  const [least, most] = [ratios[0], ratios[ratios.length - 1]];
  const figure = (value: number) => value.toFixed(value < 10 ? 1 : 0);
  const ratio = share(ratios, 0.5);
  return {
    ratio,
    text: `${figure(ratio)} × (${figure(least)}–${figure(most)})`,
    work: share(works, 0.5),
    plain: share(plains, 0.5),
  };
}

/** How many times as long something takes, with its spread, and what it and the plain one take, ms. */
export interface Ratio {
  readonly ratio: number;
  readonly text: string;
  readonly work: number;
  readonly plain: number;
}

export interface Row {
  readonly what: string;
  readonly figure: string;
  readonly aim: string;
}

/** Prints rows as a table that can go into the README as it is. */
export function printTable(rows: readonly Row[]): void {
  process.stdout.write('\n| measured in one run | result | aim |\n| --- | --- | --- |\n');
  for (const { what, figure, aim } of rows) process.stdout.write(`| ${what} | ${figure} | ${aim} |\n`);
}

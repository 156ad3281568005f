/** The median time of a piece of work, ms, after a warm-up. */
export function medianOf(rounds: number, work: (round: number) => void): number {
  work(-1);
  return middle(
    Array.from({ length: rounds }, (_, round) => {
      const start = performance.now();
      work(round);
      return performance.now() - start;
    }),
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
  return middle(times);
}

const middle = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)];

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

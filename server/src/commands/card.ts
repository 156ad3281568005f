import { readFileSync } from 'node:fs';
import { cardOf, cardText, planOf, readDesignFile } from '@aurantia/core';

/** `npm run -s card -- FILE|- [--json]`: a design file as a printed card, or its whole plan. */
function main(words: readonly string[]): number {
  const unknown = words.find((word) => word.startsWith('--') && word !== '--json');
  const files = words.filter((word) => !word.startsWith('--'));
  if (unknown || files.length !== 1) {
    process.stderr.write('Say which design file: npm run -s card -- FILE, or - for standard input; --json prints the plan.\n');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(files[0] === '-' ? 0 : files[0], 'utf8');
  } catch (error) {
    process.stderr.write(
      `${files[0]}: can’t be read (${error instanceof Error ? error.message : String(error)}). Check the path.\n`,
    );
    return 2;
  }
  const read = readDesignFile(text);
  if (!read.ok) {
    for (const fault of read.faults) process.stderr.write(`${fault.path}: ${fault.sentence}\n`);
    return 2;
  }
  const { design, settings, shelf } = read.file;
  const plan = planOf(design, { settings, shelf });
  process.stdout.write(
    words.includes('--json') ? `${JSON.stringify(plan, null, 2)}\n` : cardText(cardOf(plan, design, settings)),
  );
  return 0;
}

process.exitCode = main(process.argv.slice(2));

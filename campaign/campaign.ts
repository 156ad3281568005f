import { randomStream } from '@aurantia/core';
import { anyDesigns } from './designs';
import { killWhileOpening, killWhileSaving } from './kills';
import { mutantIntoReaders, mutantIntoRoutes, serverUnderTest } from './mutants';
import { newPart, summary } from './report';
import { writersAgainstEachOther } from './writers';

/**
 * `npm run campaign -- [MINUTES] [SEED]`: what careless hands, power cuts and broken files do to a workshop, on purpose
 * and by a seed. Ends with what was tried and found; status 1 when anything was.
 */
async function main([minutes = '10', given]: readonly string[]): Promise<void> {
  const seed = given === undefined ? Math.floor(Date.now() / 1000) : Number(given);
  const random = randomStream(seed);
  const until = Date.now() + Number(minutes) * 60_000;
  const [kills, mutants, writers, designs] = ['kills', 'mutants', 'writers', 'designs'].map(newPart);
  process.stdout.write(`Campaign of ${minutes} min, seed ${seed}.\n`);
  while (Date.now() < until) {
    for (let i = 0; i < 3; i += 1) await killWhileOpening(kills, random);
    await killWhileSaving(kills, random);
    await writersAgainstEachOther(writers, random);
    for (let i = 0; i < 60; i += 1) mutantIntoReaders(mutants, random);
    const server = await serverUnderTest();
    for (let i = 0; i < 60; i += 1) await mutantIntoRoutes(mutants, random, server);
    await server.stop();
    for (let i = 0; i < 20; i += 1) anyDesigns(designs, random);
  }
  const parts = [kills, mutants, writers, designs];
  process.stdout.write(`${summary(parts, seed, Number(minutes))}\n`);
  process.exitCode = parts.some(({ faults }) => faults.length > 0) ? 1 : 0;
}

// Whatever stops the campaign before its time is itself a fault, and is said.
const alive = setInterval(() => undefined, 60_000);
await main(process.argv.slice(2)).finally(() => clearInterval(alive));

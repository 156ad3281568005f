import { deviceKinds } from '@aurantia/core';
import { Simulator } from '../devices/simulator';
import { failed } from './failed';

/** `npm run -s device -- scale 4351`: a simulated scale, room sensor or turner on a port of this computer; what is typed goes to it. */
async function main([kind, port]: readonly string[]): Promise<void> {
  const known = deviceKinds.find((one) => one === kind);
  const number = Number(port ?? 0);
  if (!known || !Number.isInteger(number) || number < 0 || number > 65535) {
    process.stderr.write(`Say which device, and a port if you wish: npm run -s device -- ${deviceKinds.join('|')} 4351\n`);
    process.exitCode = 1;
    return;
  }
  const simulator = new Simulator(known);
  process.stdout.write(
    `A simulated ${known} is on port ${await simulator.listen(number)}. Commands are in docs/devices.md; Ctrl+C ends it.\n`,
  );
  process.stdin.setEncoding('utf8').on('data', (text: string) => {
    for (const line of text.split('\n').filter((one) => one.trim() !== ''))
      if (!simulator.told(line)) process.stdout.write('what?\n');
  });
}

main(process.argv.slice(2)).catch(failed);

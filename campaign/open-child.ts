import { openStore } from '../server/src/store/open-store';

/* Opens a workshop's file once it is told to, so that it can be killed while it does. */
const [file] = process.argv.slice(2);
process.stdout.write('ready\n');
process.stdin.once('data', () => {
  void openStore(file).then(
    () => process.stdout.write('open\n'),
    (error: unknown) => {
      process.stdout.write(`refused ${error instanceof Error ? error.message : String(error)}\n`);
    },
  );
});

// Before the first test: the program bundled, and its demo made.
import bundled from '../scripts/bundled.mjs';
import '../scripts/read-typescript.mjs';

export default async function begin() {
  await bundled();
  const { makeDemo } = await import('./src/made-demo.ts');
  await makeDemo();
}

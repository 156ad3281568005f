// Before the first test: the program bundled, and a folder for what the tests make.
import bundled from '../scripts/bundled.mjs';
import { makeTestsFolder } from '../scripts/tests-folder.mjs';

export default async function begin() {
  await bundled();
  makeTestsFolder();
}

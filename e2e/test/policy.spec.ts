import { reads } from '../src/browser';
import { browser, programForAll, visit } from '../src/running';
import { views } from '../src/views';

programForAll();

test('the page breaks no rule of its own policy and logs no fault', async () => {
  for (const [, path, says] of views) {
    await visit(path);
    await reads(browser, says);
  }
  const logged = await browser.manage().logs().get('browser');
  expect(logged.map((entry) => entry.message)).toEqual([]);
});

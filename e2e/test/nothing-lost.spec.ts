import { PATIENCE, kept, menuItem, named, press, reads, type, valueOf, withNamed } from '../src/browser';
import { cameAhead } from '../src/came-ahead';
import { browser, ownDesign, program, programForAll, visit } from '../src/running';

programForAll();

const stored = async (id: string) =>
  (await (await fetch(`${program.address}/api/designs/${id}`)).json()) as { revision: number; document: { name: string } };
const name = () => valueOf(browser, 'Name of the design');
const rename = (text: string) => type(browser, 'Name of the design', text);
const open = async (id: string, stage = 'areas') => {
  await browser.get(`${program.address}/designs/${id}/${stage}`);
  await kept(browser);
};

/** Two tabs on one design, the second with a change that the first doesn't know of yet. @returns the design */
async function twoTabs(): Promise<string> {
  const id = await ownDesign('peat-fire');
  await open(id);
  // The other window is another person's: nothing tells this one that it saved.
  await browser.executeScript('BroadcastChannel.prototype.postMessage = () => undefined');
  const { revision, document } = await stored(id);
  await program.send('PUT', `designs/${id}`, { parent: revision, document: { ...document, name: 'Theirs' } });
  await rename('Mine');
  await reads(browser, 'was changed in another window');
  expect(await stored(id)).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
  return id;
}

test('a change elsewhere is never overwritten: go on with theirs', async () => {
  const id = await twoTabs();
  await press(browser, 'Go on with theirs');
  await browser.wait(async () => (await name()) === 'Theirs', PATIENCE, 'theirs never shows');
  expect(await stored(id)).toMatchObject({ revision: 2 });
  await press(browser, 'Undo');
  await browser.wait(async () => (await name()) === 'Mine', PATIENCE, 'mine is lost');
});

test('a change elsewhere is never overwritten: put mine on top', async () => {
  const id = await twoTabs();
  await press(browser, 'Put mine on top');
  await kept(browser);
  expect(await stored(id)).toMatchObject({ revision: 3, document: { name: 'Mine' } });
  const theirs = (await (await fetch(`${program.address}/api/designs/${id}/revisions/2`)).json()) as {
    document: { name: string };
  };
  expect(theirs.document.name).toBe('Theirs');
});

test('a change elsewhere is never overwritten: keep mine apart', async () => {
  const id = await twoTabs();
  await press(browser, 'Keep mine as a new design');
  await browser.wait(async () => (await name()) === 'Mine, mine', PATIENCE, 'the copy never opens');
  expect(await stored(id)).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
});

test('a tab with nothing unsaved follows the other one', async () => {
  const id = await ownDesign('thistle-weave');
  await open(id);
  const first = await browser.getWindowHandle();
  await browser.switchTo().newWindow('tab');
  await open(id);
  await rename('Bramble Weave');
  await reads(browser, 'revision 2, kept');
  const second = await browser.getWindowHandle();
  await browser.switchTo().window(first);
  await browser.wait(async () => (await name()) === 'Bramble Weave', PATIENCE, 'the first tab never follows');
  await reads(browser, 'revision 2, kept');
  await browser.switchTo().window(second);
  await browser.close();
  await browser.switchTo().window(first);
});

test('while the program is away nothing is lost, and it is kept once it is back', async () => {
  const id = await ownDesign('copper-eaves');
  await open(id);
  await program.stop('SIGKILL');
  await rename('Slate Eaves');
  await reads(browser, 'not reached; kept in this browser');
  await program.start();
  await kept(browser);
  expect(await stored(id)).toMatchObject({ revision: 2, document: { name: 'Slate Eaves' } });
});

test('a coat is opened and changed while the program is away, once its form came ahead', async () => {
  const id = await ownDesign('copper-eaves');
  await open(id, 'coats');
  await cameAhead(browser, 'selectors:[["au-coat-form"]]');
  await program.stop('SIGKILL');
  await press(browser, /Scuff and degrease/, 'mat-expansion-panel-header');
  await type(browser, 'Note for whoever does it', 'Twice round the foot');
  await reads(browser, 'not reached; kept in this browser');
  await program.start();
  await kept(browser);
  expect(JSON.stringify(await stored(id))).toContain('Twice round the foot');
});

test('what was typed before a crash is there when the page opens again', async () => {
  const id = await ownDesign('copper-eaves');
  await open(id);
  await program.stop('SIGKILL');
  await rename('Written in the dark');
  await reads(browser, 'not reached');
  await browser.get('about:blank');
  await program.start();
  await browser.get(`${program.address}/designs/${id}/areas`);
  await browser.wait(async () => (await name()) === 'Written in the dark', PATIENCE, 'the draft is lost');
  await kept(browser);
  expect(await stored(id)).toMatchObject({ document: { name: 'Written in the dark' } });
});

test('leaving the workspace at once after typing keeps it all the same', async () => {
  const id = await ownDesign('copper-eaves');
  await open(id);
  await rename('Gone in a hurry');
  await press(browser, 'Designs', 'nav a');
  await reads(browser, 'Gone in a hurry', '.label');
  await browser.wait(async () => (await stored(id)).document.name === 'Gone in a hurry', PATIENCE, 'it was never sent');
});

test('two designs in one tab keep their saves and their undo apart', async () => {
  const first = await ownDesign('copper-eaves');
  const second = await ownDesign('peat-fire');
  await open(first);
  await browser.executeScript(
    'history.pushState(null, "", arguments[0]); history.pushState(null, "", arguments[0])',
    `/designs/${second}/areas`,
  );
  await rename('First of two');
  await browser.navigate().back();
  await browser.wait(async () => (await name()) === 'Peat Fire', PATIENCE, 'the other design never opens');
  expect(await withNamed(browser, 'button', 'Undo', (found) => found.isEnabled())).toBe(false);
  await browser.wait(async () => (await stored(first)).document.name === 'First of two', PATIENCE, 'the first was never sent');
  expect(await stored(second)).toMatchObject({ revision: 1, document: { name: 'Peat Fire' } });
});

test('a removed design comes back with one press', async () => {
  await ownDesign('peat-fire', 'Bog Fire');
  await visit('/designs');
  await press(browser, 'More for Bog Fire');
  await menuItem(browser, 'Remove');
  await reads(browser, 'Bog Fire is removed.');
  await press(browser, 'Undo');
  await named(browser, 'button', 'More for Bog Fire');
});

test('a design that isn’t here says so and leads back', async () => {
  await visit('/designs/no-such-design/cup');
  await reads(browser, 'This design isn’t here');
  await press(browser, 'All designs');
  await reads(browser, 'Lately on the table');
});

import { PATIENCE, kept, menuItem, named, press, reads, type, valueOf, withNamed } from '../src/browser';
import { cameAhead } from '../src/came-ahead';
import { browser, program, programForEach } from '../src/running';

programForEach();

const stored = async (id: string) =>
  (await (await fetch(`${program.address}/api/designs/${id}`)).json()) as { revision: number; document: { name: string } };
const name = () => valueOf(browser, 'Name of the design');
const rename = (text: string) => type(browser, 'Name of the design', text);
const open = async (id: string, stage = 'areas') => {
  await browser.get(`${program.address}/designs/${id}/${stage}`);
  await kept(browser);
};

/** Two tabs on one design, the second with a change that the first doesn't know of yet. */
async function twoTabs(): Promise<{ mine: string }> {
  await open('peat-fire');
  const mine = await browser.getWindowHandle();
  // The other window is another person's: nothing tells this one that it saved.
  await browser.executeScript('BroadcastChannel.prototype.postMessage = () => undefined');
  const { revision, document } = await stored('peat-fire');
  const reply = await fetch(`${program.address}/api/designs/peat-fire`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ parent: revision, document: { ...document, name: 'Theirs' } }),
  });
  expect(reply.status).toBe(200);
  await rename('Mine');
  await reads(browser, 'was changed in another window');
  expect(await stored('peat-fire')).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
  return { mine };
}

test('a change elsewhere is never overwritten: go on with theirs', async () => {
  await twoTabs();
  await press(browser, 'Go on with theirs');
  await browser.wait(async () => (await name()) === 'Theirs', PATIENCE, 'theirs never shows');
  expect(await stored('peat-fire')).toMatchObject({ revision: 2 });
  await press(browser, 'Undo');
  await browser.wait(async () => (await name()) === 'Mine', PATIENCE, 'mine is lost');
});

test('a change elsewhere is never overwritten: put mine on top', async () => {
  await twoTabs();
  await press(browser, 'Put mine on top');
  await kept(browser);
  expect(await stored('peat-fire')).toMatchObject({ revision: 3, document: { name: 'Mine' } });
  const theirs = (await (await fetch(`${program.address}/api/designs/peat-fire/revisions/2`)).json()) as {
    document: { name: string };
  };
  expect(theirs.document.name).toBe('Theirs');
});

test('a change elsewhere is never overwritten: keep mine apart', async () => {
  await twoTabs();
  await press(browser, 'Keep mine as a new design');
  await browser.wait(async () => (await name()) === 'Mine, mine', PATIENCE, 'the copy never opens');
  expect(await stored('peat-fire')).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
});

test('a tab with nothing unsaved follows the other one', async () => {
  await open('thistle-weave');
  const first = await browser.getWindowHandle();
  await browser.switchTo().newWindow('tab');
  await open('thistle-weave');
  await rename('Bramble Weave');
  await reads(browser, 'revision 2, kept');
  await browser.switchTo().window(first);
  await browser.wait(async () => (await name()) === 'Bramble Weave', PATIENCE, 'the first tab never follows');
  await reads(browser, 'revision 2, kept');
});

test('while the program is away nothing is lost, and it is kept once it is back', async () => {
  await open('copper-eaves');
  await program.stop('SIGKILL');
  await rename('Slate Eaves');
  await reads(browser, 'not reached; kept in this browser');
  await program.start();
  await kept(browser);
  expect(await stored('copper-eaves')).toMatchObject({ revision: 2, document: { name: 'Slate Eaves' } });
});

test('a coat is opened and changed while the program is away, once its form came ahead', async () => {
  await open('copper-eaves', 'coats');
  await cameAhead(browser, 'selectors:[["au-coat-form"]]');
  await program.stop('SIGKILL');
  await press(browser, /Scuff and degrease/, 'mat-expansion-panel-header');
  await type(browser, 'Note for whoever does it', 'Twice round the foot');
  await reads(browser, 'not reached; kept in this browser');
  await program.start();
  await kept(browser);
  expect(JSON.stringify(await stored('copper-eaves'))).toContain('Twice round the foot');
});

test('what was typed before a crash is there when the page opens again', async () => {
  await open('copper-eaves');
  await program.stop('SIGKILL');
  await rename('Written in the dark');
  await reads(browser, 'not reached');
  await browser.get('about:blank');
  await program.start();
  await browser.get(`${program.address}/designs/copper-eaves/areas`);
  await browser.wait(async () => (await name()) === 'Written in the dark', PATIENCE, 'the draft is lost');
  await kept(browser);
  expect(await stored('copper-eaves')).toMatchObject({ document: { name: 'Written in the dark' } });
});

test('leaving the workspace at once after typing keeps it all the same', async () => {
  await open('copper-eaves');
  await rename('Gone in a hurry');
  await press(browser, 'Designs', 'nav a');
  await reads(browser, 'Gone in a hurry', '.label');
  await browser.wait(
    async () => (await stored('copper-eaves')).document.name === 'Gone in a hurry',
    PATIENCE,
    'it was never sent',
  );
});

test('two designs in one tab keep their saves and their undo apart', async () => {
  await open('copper-eaves');
  await browser.executeScript(
    'history.pushState(null, "", "/designs/peat-fire/areas"); history.pushState(null, "", "/designs/peat-fire/areas")',
  );
  await rename('First of two');
  await browser.navigate().back();
  await browser.wait(async () => (await name()) === 'Peat Fire', PATIENCE, 'the other design never opens');
  expect(await withNamed(browser, 'button', 'Undo', (found) => found.isEnabled())).toBe(false);
  await browser.wait(
    async () => (await stored('copper-eaves')).document.name === 'First of two',
    PATIENCE,
    'the first was never sent',
  );
  expect(await stored('peat-fire')).toMatchObject({ revision: 1, document: { name: 'Peat Fire' } });
});

test('a removed design comes back with one press', async () => {
  await browser.get(`${program.address}/designs`);
  await press(browser, 'More for Peat Fire');
  await menuItem(browser, 'Remove');
  await reads(browser, 'Peat Fire is removed.');
  await press(browser, 'Undo');
  await named(browser, 'button', 'More for Peat Fire');
});

test('a design that isn’t here says so and leads back', async () => {
  await browser.get(`${program.address}/designs/no-such-design/cup`);
  await reads(browser, 'This design isn’t here');
  await press(browser, 'All designs');
  await reads(browser, 'Lately on the table');
});

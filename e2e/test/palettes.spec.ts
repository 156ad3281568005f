import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { PATIENCE, choose as chooseIn, menuItem, painted, press, reads, type, withNamed } from '../src/browser';
import { stripedPng } from '../src/flat-photo';
import { browser, program, programForAll } from '../src/running';

programForAll();

const FOLDER = mkdtempSync(join(tmpdir(), 'aurantia-palettes-'));
const file = (name: string, data: string | Buffer) => {
  const path = join(FOLDER, name);
  writeFileSync(path, data);
  return path;
};
interface Kept {
  readonly name: string;
  readonly colours: readonly { readonly name: string; readonly colour: string; readonly mix: object | null }[];
}
const keptOnes = async () =>
  ((await (await fetch(`${program.address}/api/palettes`)).json()) as readonly { document: Kept }[]).map(
    ({ document }) => document,
  );
const go = async () => {
  await browser.get(`${program.address}/shelf/palettes`);
  await reads(browser, 'Lantern week', '.rack');
};
const bring = async (name: string, text: string) =>
  (await browser.findElement(By.css('input[aria-label="Palette file"]'))).sendKeys(file(name, text));

test('the colours of a photo become a palette, and each gets its mix', async () => {
  await go();
  await press(browser, 'New palette');
  await menuItem(browser, 'From a photo');
  await reads(browser, 'Choose a photo', 'au-photo-palette');
  const photo = stripedPng([
    [0xe9, 0xb4, 0x4c],
    [0xe9, 0xb4, 0x4c],
    [0xb5, 0x46, 0x1c],
    [0x2f, 0x5f, 0x6b],
  ]);
  await (await browser.findElement(By.css('au-photo-palette input[type=file]'))).sendKeys(file('wall.png', photo));
  await reads(browser, /#e9b44c\s+50 % of the photo\s+#\w+\s+25 %/, 'au-photo-palette');
  await press(browser, 'Keep as a palette');
  await reads(browser, 'From a photo', '.rack');
  await press(browser, 'Find a mix for each');
  await browser.wait(
    async () => (await keptOnes()).find(({ name }) => name === 'From a photo')?.colours.every(({ mix }) => mix !== null),
    60000,
    'the mixes are never kept',
  );
  await reads(browser, /ml .*((no visible|slight|clear) difference|far apart)/, 'au-palette-form');
});

test('a palette goes out as a card that prints at true size, and as a sheet to glue samples on', async () => {
  await go();
  // What is saved is caught on its way, since nobody sees a download without a window.
  await browser.executeScript(
    'window.saved = null; const make = URL.createObjectURL; URL.createObjectURL = (blob) => { const reader = new FileReader(); reader.onload = () => (window.saved = reader.result); reader.readAsDataURL(blob); return make.call(URL, blob); };',
  );
  const saved = async (item: string) => {
    await browser.executeScript('window.saved = null');
    await press(browser, 'Export');
    await menuItem(browser, item);
    const url = await browser.wait(
      () => browser.executeScript<string | null>('return window.saved'),
      PATIENCE,
      'nothing is saved',
    );
    return Buffer.from(String(url).split(',')[1], 'base64');
  };
  const png = await saved('As a swatch card');
  const said = png.indexOf('pHYs');
  expect(said).toBeGreaterThan(0);
  const dotsPerMetre = png.readUInt32BE(said + 4);
  const millimetres = (png.readUInt32BE(16) / dotsPerMetre) * 1000;
  // Four chips of 44 mm, three gaps of 5 mm and two margins of 8 mm.
  expect(Math.abs(millimetres - (4 * 44 + 3 * 5 + 2 * 8))).toBeLessThan(0.1);
  expect((await saved('As plain text')).toString()).toBe(
    '; Lantern week\n#e9b44c  Paper lamp\n#b5461c  Ember\n#5a3d5c  Dusk wall\n#2f5f6b  Canal\n#2e2b2c  Soot\n',
  );
  const sheet = await fetch(`${program.address}/api/palettes/lantern-week/samples.pdf`);
  expect(sheet.headers.get('content-type')).toBe('application/pdf');
});

test('a file comes in, a faulty one says what is wrong; a name is kept, a removal undone', async () => {
  await go();
  await bring('harbour.txt', '#b5461c Ember\nreddish\n');
  await reads(browser, 'line 2: “reddish” is no colour', '[role=alert]');
  await bring('harbour.csv', 'Name;Hex\nRope;#a58f6a\nTar;#1c1b1a\n');
  await reads(browser, 'harbour', '.rack');
  await type(browser, 'Name of the palette', 'Harbour');
  await reads(browser, 'Harbour', '.rack');
  expect((await keptOnes()).find(({ name }) => name === 'Harbour')?.colours).toMatchObject([{ name: 'Rope' }, { name: 'Tar' }]);
  await press(browser, 'Remove the palette');
  await reads(browser, 'The palette Harbour is gone.');
  await press(browser, 'Undo');
  await reads(browser, 'Harbour', '.rack');
});

test('a palette’s colour is looked for at the bench, and blends become a palette', async () => {
  await browser.get(`${program.address}/designs/peat-fire/colour`);
  await painted(browser);
  await press(browser, 'Find a mix');
  await chooseIn(browser, 'Of a palette', 'Lantern week: Ember');
  expect(await withNamed(browser, 'input', 'as #', (found) => found.getAttribute('value'))).toBe('#b5461c');
  await press(browser, 'Compare');
  await press(browser, 'Keep these as a palette');
  await reads(browser, '“Blends of Peat Fire” is among the palettes');
});

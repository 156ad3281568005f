import { v7 } from 'uuid';
import decodeQR from 'qr/decode.js';
import sharp from 'sharp';
import { openBrowser, press, reads, resize, type, type Browser } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { browser, program, programForAll } from '../src/running';

/* A tablet beside the cup: let in by a code, at the same make as the workshop's computer, taken away in the middle. */
let tablet: Browser;
programForAll();
beforeAll(async () => {
  tablet = await openBrowser(false);
  await resize(tablet, 820, 1180);
});
afterAll(() => tablet.quit());

const openSharing = async () => {
  await browser.get(`${program.address}/shelf`);
  await reads(browser, 'First Frost');
  await press(browser, /this workshop/, 'header button');
  await press(browser, 'A phone or tablet', 'button');
  await reads(browser, 'Share this workshop on the network', 'au-sharing-dialog');
};
/** What a camera reads off the picture on the workshop's screen. */
const pictured = async (): Promise<string> => {
  const source = await browser.executeScript<string>('return document.querySelector(".code img").src');
  const svg = decodeURIComponent(source.slice(source.indexOf(',') + 1));
  const { data, info } = await sharp(Buffer.from(svg), { density: 300 })
    .resize(400, 400)
    .flatten({ background: '#fff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return decodeQR({ width: info.width, height: info.height, data: new Uint8Array(data) });
};

test('off at first; switched on, a code is shown as letters and as a picture', async () => {
  await openSharing();
  await reads(browser, 'Off, Aurantia answers on this computer alone', 'au-sharing-dialog');
  await press(browser, 'Share this workshop on the network', '[role=switch]');
  await reads(browser, 'Let a device in', 'au-sharing-dialog');
  await press(browser, 'Show a code', 'button');
  await reads(browser, 'Point the camera', 'au-sharing-dialog');
  const letters = await browser.executeScript<string>('return document.querySelector(".letters").innerText');
  expect(await pictured()).toMatch(new RegExp(`^http://127\\.0\\.0\\.2:\\d+/pair#${letters.replace(' ', '')}$`));
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 844);
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
  await resize(browser, 1280, 800);
});

test('a device without a code sees nothing but the page for it; a wrong code is said, the right one opens the bench', async () => {
  await program.send('POST', 'makes', { id: v7(), design: 'copper-eaves', label: '' });
  const link = await pictured();
  const [host] = link.split('/pair');
  await tablet.get(`${host}/designs`);
  await reads(tablet, 'Let this device in');
  expect(await violations(tablet)).toEqual([]);
  await type(tablet, 'Code', 'AAAA AAAA');
  await press(tablet, 'Let it in', 'button');
  await reads(tablet, '4 more tries');
  await tablet.get(link);
  await reads(tablet, 'Coat 1 of', 'au-coat-work');
  expect(await tablet.executeScript('return [...document.querySelectorAll("header nav a")].map((a) => a.innerText)')).toEqual([
    'Bench',
    'Logbook',
  ]);
  expect(await violations(tablet)).toEqual([]);
  expect(await tooWide(tablet)).toBeLessThanOrEqual(0);
  await reads(browser, 'Let in', 'au-sharing-dialog');
});

test('what is pressed at the tablet shows at the workshop’s own bench at once, and the other way round', async () => {
  await press(browser, 'Done', 'mat-dialog-actions button');
  await browser.get(`${program.address}/bench`);
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  await press(tablet, /^Begin/, '.large');
  await reads(browser, 'It is on', 'au-coat-work');
  await press(browser, 'It is on', '.large');
  await reads(tablet, 'Coat 2 of', 'au-coat-work');
});

test('taken away in the middle of a coat the tablet is told so; what was kept stays', async () => {
  await program.wait(600);
  await press(tablet, /^Begin/, '.large');
  await reads(browser, 'It is on', 'au-coat-work');
  await openSharing();
  await press(browser, 'Take away Tablet', 'button');
  await reads(browser, 'isn’t let in any more', 'mat-snack-bar-container');
  await press(tablet, 'It is on', '.large');
  await reads(tablet, 'This device isn’t let in, or isn’t any more', 'mat-snack-bar-container');
  await tablet.navigate().refresh();
  await reads(tablet, 'Let this device in');
  await browser.get(`${program.address}/bench`);
  await reads(browser, 'It is on', 'au-coat-work');
});

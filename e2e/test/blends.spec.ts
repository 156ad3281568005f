import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { PATIENCE, choose as chooseIn, kept, named, painted, press, reads, type, valueOf } from '../src/browser';
import { stripedPng } from '../src/flat-photo';
import { browser, program, programForAll, visit } from '../src/running';

programForAll();

const FOLDER = mkdtempSync(join(tmpdir(), 'aurantia-blends-'));
const file = (name: string, data: string | Buffer) => {
  const path = join(FOLDER, name);
  writeFileSync(path, data);
  return path;
};
const open = async (design: string, area: string) => {
  await visit(`/designs/${design}/colour`);
  await painted(browser);
  await press(browser, new RegExp(`^${area} `), '[role=option]');
  await reads(browser, area, 'au-colour-stage h2');
};
const choose = (label: string, option: string) => chooseIn(browser, label, option);
const shelf = async () =>
  (
    (await (await fetch(`${program.address}/api/shelf`)).json()) as {
      document: { id: string; name: string; left: number | null };
    }[]
  ).map(({ document }) => document);
const value = (name: string) => valueOf(browser, name);

describe('a jar is found', () => {
  const finder = 'au-jar-finder';
  const first = () => browser.executeScript<string>('return document.querySelector("au-jar-finder .jar b").innerText');
  const mixed = () =>
    browser.executeScript<string[]>(
      'return [...document.querySelectorAll("au-blend-pane [role=row] b")].map((one) => one.innerText)',
    );
  beforeEach(async () => {
    await open('copper-eaves', 'Eaves');
    await press(browser, 'Add a glitter');
    await reads(browser, 'Used lately', finder);
  });

  test('by nearness to the blend, and by its name with keys alone', async () => {
    await press(browser, 'Near to this blend');
    await reads(browser, 'away', finder);
    expect(await first()).toBe('Rust Road');
    await press(browser, 'Any colour');
    const field = await named(browser, `${finder} input`, 'Find a jar');
    await field.sendKeys('thistle', Key.ENTER);
    await reads(browser, 'Thistledown', 'au-blend-pane');
    await press(browser, 'Add a glitter');
    await reads(browser, 'Used lately', finder);
    expect(await first()).not.toBe('Thistledown');
    await press(browser, 'Leave it');
    await press(browser, 'Undo');
  });
  test('among two thousand, or put on the shelf from there', async () => {
    const many = Array.from({ length: 2000 }, (_, i) => ({
      parent: null,
      document: {
        kind: 'glitter',
        id: `many-${i}`,
        name: `Gravel ${i}`,
        finish: 'matte',
        flake: { colour: '#808890', kind: 'solid', opacity: 1, thickness: 50, solidShare: 0.3, cut: 0.4, density: 1.38 },
      },
    }));
    const headers = { 'content-type': 'application/json' };
    const reply = await fetch(`${program.address}/api/shelf/many`, { method: 'POST', headers, body: JSON.stringify(many) });
    expect(reply.status).toBe(200);
    // A page hears nothing of what goes on behind it: it is begun anew, and once more when all is as it was.
    await browser.get(program.address);
    await open('copper-eaves', 'Eaves');
    await press(browser, 'Add a glitter');
    await reads(browser, /All others\s+2,?0\d\d/, finder);
    await (await named(browser, `${finder} input`, 'Find a jar')).sendKeys('gravel 1984');
    await browser.wait(async () => (await first()) === 'Gravel 1984', PATIENCE, 'it is never found');
    await (await named(browser, `${finder} input`, 'Find a jar')).sendKeys(Key.chord(Key.CONTROL, 'a'), 'Sea Glass');
    await reads(browser, 'Nothing on the shelf is called so.', finder);
    await press(browser, 'Not on the shelf yet: put “Sea Glass” there');
    await reads(browser, 'Sea Glass', 'au-blend-pane');
    expect((await shelf()).filter(({ name }) => name === 'Sea Glass')).toMatchObject([{ left: null }]);
    expect(await mixed()).toContain('Sea Glass');
    for (const { id } of (await shelf()).filter((one) => one.name === 'Sea Glass' || one.id.startsWith('many-')))
      await fetch(`${program.address}/api/shelf/${id}`, { method: 'DELETE' });
    await press(browser, 'Undo');
    await kept(browser);
    await browser.get(program.address);
  });
});

describe('find a mix', () => {
  test('finds the very blend its own colour comes from, proven, and puts it in', async () => {
    await open('copper-eaves', 'Eaves');
    await press(browser, 'Find a mix');
    await reads(browser, 'All of it searched', 'au-find-mix');
    await reads(
      browser,
      /3 jars: no visible difference[\s\S]*Penny Rain 4\.0 ml · Lamp Oil 3\.0 ml · Brickfield 2\.0 ml/,
      'au-find-mix',
    );
    await reads(browser, 'Nothing else comes nearer.', 'au-find-mix');
    await choose('Keep in it', 'Rust Road');
    await reads(browser, /Rust Road \d/, 'au-find-mix');
    await reads(browser, 'All of it searched', 'au-find-mix');
    await press(browser, 'Use it: the mix of 2 jars');
    await reads(browser, 'Rust Road', 'au-blend-pane table');
    await kept(browser);
    await press(browser, 'Undo');
    await reads(browser, 'Lamp Oil', 'au-blend-pane table');
  });

  test('a photographed colour is set right by the card beside it, and copied from five jars at most', async () => {
    await open('peat-fire', 'Embers');
    await press(browser, 'Find a mix');
    await choose('Jars at most', '5');
    await press(browser, 'From a photo');
    await reads(browser, 'Choose a photo', 'au-photo-colour');
    // Under a yellow lamp: white comes out as #f4dcaa, and rust redder and darker than it is.
    const photo = stripedPng([
      [0xb0, 0x60, 0x28],
      [0xf4, 0xdc, 0xaa],
    ]);
    const field = await browser.findElement(By.css('au-photo-colour input[type=file]'));
    await field.sendKeys(file('card.png', photo));
    await press(browser, 'Pick the white card');
    const canvas = await named(browser, 'canvas', /^The photo/);
    // The cross begins in the middle of the photo: on the card, once a step to the right.
    await canvas.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ENTER);
    await canvas.sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ENTER);
    await reads(browser, 'set right by the card', 'au-photo-colour');
    const colour = await value('as #');
    expect(parseInt(colour.slice(5), 16)).toBeGreaterThan(0x28);
    expect(colour.slice(1, 3)).toBe('b0');
    await reads(browser, /\d jars: (no visible|slight|clear) difference/, 'au-find-mix');
    await press(browser, /^Use it: the mix of [45] jars$/);
    await reads(browser, 'By the eye', 'au-colour-stage');
    await press(browser, 'Undo');
  });

  test('a file that is no picture, and a colour that is none, get a sentence', async () => {
    await open('peat-fire', 'Embers');
    await press(browser, 'Find a mix');
    await press(browser, 'From a photo');
    await reads(browser, 'Choose a photo', 'au-photo-colour');
    await (await browser.findElement(By.css('au-photo-colour input[type=file]'))).sendKeys(file('not.png', 'hello'));
    await reads(browser, 'This file is no picture that can be read.', 'au-photo-colour');
    await type(browser, 'as #', 'rust');
    await reads(browser, 'Write # and six digits', 'au-find-mix');
  });
});

test('a cheaper mix costs less for the same cover, or there is none', async () => {
  await open('copper-eaves', 'Eaves');
  await press(browser, 'Find a mix');
  await choose('Look for', 'a cheaper mix');
  await type(browser, 'At most apart', '4');
  await reads(
    browser,
    /Costs \d\.\d\d for 100 cm², one flake deep, \d+ % less than now\. Nothing so near costs less\./,
    'au-find-mix',
  );
  await type(browser, 'At most apart', '0.1');
  await reads(browser, 'Nothing on the shelf comes so near and costs less', 'au-find-mix');
  await type(browser, 'At most apart', '50');
  await reads(browser, 'Between 0 and 10.', 'au-find-mix');
});

test('a blend is measured in parts, and one part made larger makes more of the same', async () => {
  await open('copper-eaves', 'Ridge');
  await press(browser, 'In parts');
  expect(await value('Rust Road, parts')).toBe('3');
  await type(browser, 'One part', '1.5');
  await reads(browser, '10.5 ml each pour', 'au-colour-stage');
  await type(browser, 'Lamp Oil, parts', '2');
  await reads(browser, '12.0 ml each pour', 'au-colour-stage');
  await type(browser, 'One part', '0');
  await reads(browser, 'A part is above nothing.', 'au-colour-stage');
  await press(browser, 'In parts');
  expect(await value('Lamp Oil, ml')).toBe('3.0');
  await kept(browser);
});

test('each glue says what sticks and what is excess', async () => {
  await open('copper-eaves', 'Ridge');
  await press(browser, 'Glue');
  await reads(browser, /Thin resin wipe\s+2\.4\s+[\d.]+ ml\s+\d+ %/, 'au-held-by-glue');
  await reads(browser, /Tacky coat\s+not for flakes this coarse/, 'au-held-by-glue');
});

test('the swatch flashes as it is tilted, by keys and by the pointer, and lies still otherwise', async () => {
  await open('thistle-weave', 'Gatepost');
  const swatch = await named(browser, 'au-swatch canvas', /Arrow keys tilt it/);
  const light = () =>
    browser.executeScript<string>(
      'const c = arguments[0]; return [...c.getContext("2d").getImageData(0, 0, c.width, c.height).data].filter((_, i) => i % 403 === 0).join()',
      swatch,
    );
  const straight = await light();
  expect(await light()).toBe(straight);
  await swatch.sendKeys(Key.ARROW_RIGHT, Key.ARROW_UP);
  await browser.wait(async () => (await light()) !== straight, PATIENCE, 'keys don’t tilt it');
  const tilted = await light();
  await browser.actions().move({ origin: swatch, x: -60, y: 30 }).perform();
  await browser.wait(async () => (await light()) !== tilted, PATIENCE, 'the pointer doesn’t tilt it');
  await browser.actions().move({ x: 5, y: 5 }).perform();
  await browser.wait(async () => (await light()) === straight, PATIENCE, 'it doesn’t lie flat again');
});

test('who comes back to a blend finds its swatch drawn, from flakes that were here at once', async () => {
  await open('thistle-weave', 'Gatepost');
  const clear = () =>
    browser.executeScript<number>(
      'const c = document.querySelector("au-swatch canvas[data-painted]"); return c ? [...c.getContext("2d").getImageData(0, 0, c.width, c.height).data].filter((part, i) => i % 4 === 3 && part < 255).length : -1',
    );
  const drawn = () => browser.wait(async () => (await clear()) === 0, PATIENCE, 'the swatch is never drawn whole');
  await drawn();
  await press(browser, /^Coats/, 'nav a');
  await reads(browser, 'Add a coat');
  await press(browser, /^Colour/, 'nav a');
  await drawn();
});

test('blends side by side are alike or far apart', async () => {
  await open('thistle-weave', 'Gatepost');
  await press(browser, 'Compare');
  await reads(browser, /Thistle and Slate\s+far apart/, 'au-compare-blends');
  await press(browser, 'Slate');
  await press(browser, 'Bee');
  await reads(browser, 'Bee', 'au-compare-blends figure');
});

test('a blend is brought to a bare share; what is left of it becomes a jar', async () => {
  await open('apiary-noon', 'Cells');
  await type(browser, 'Left bare', '20');
  await reads(browser, /becomes [\d.]+ ml each pour; rounding to the spoon moves the colour by \d\.\d/, 'au-scale-blend');
  await press(browser, 'Bring');
  await reads(browser, /Stays bare\s+(1\d|20)\.\d %/);
  await press(browser, 'Undo');
  await type(browser, 'Left over of this mix', '3.5');
  await press(browser, 'Put it on the shelf');
  await reads(browser, '“Cells leftover” is on the shelf.');
  expect((await shelf()).find(({ name }) => name === 'Cells leftover')?.left).toBe(3.5);
});

describe('the shelf', () => {
  const go = async (path: string) => {
    await visit(path);
    await reads(browser, 'Glitters');
  };
  test('is found by colour and by cut', async () => {
    await go('/shelf');
    await browser.executeScript(
      'const field = document.querySelector(".near input"); field.value = "#2f7a58"; field.dispatchEvent(new Event("change"));',
    );
    await reads(browser, 'Nearest in colour');
    expect(await (await browser.findElement(By.css('section li b'))).getText()).toBe('Quarry Moss');
    await choose('Cut', 'chunky, from 1 mm');
    await reads(browser, /Nearest in colour\s+2/);
    await press(browser, 'Any colour');
    await reads(browser, /Glitters\s+2/);
  });

  test('a table of others comes in by a mapping, with what it can’t say left out', async () => {
    await go('/shelf');
    const table =
      'Product;Size;Farbe;In stock;Preis\nMoth Wing;0,4 mm;#8a7f9e;22,5;4,20\nBrickfield;0,2;8c3a17;40;3,90\nOdd one;0,4;rosy;3;1\n';
    const field = await browser.findElement(By.css('input[aria-label="Table of shelf items"]'));
    await field.sendKeys(file('jars.csv', `\uFEFF${table}`));
    await reads(browser, 'line 4, colour', 'au-table-import');
    await choose('What “Preis” says', 'paid');
    await press(browser, 'Bring in 2 items');
    await reads(browser, '2 items from jars.csv on the shelf.');
    await reads(browser, 'Moth Wing', 'section li');
    expect((await shelf()).filter(({ name }) => name === 'Brickfield').map(({ left }) => left)).toEqual([40]);
    const many = `name\n${'x\n'.repeat(50000)}`;
    await (await browser.findElement(By.css('input[aria-label="Table of shelf items"]'))).sendKeys(file('many.csv', many));
    await reads(browser, '2,000 are the most one file brings', '.wrong-note');
  });

  test('a weighed spoon sets a jar right; what came and went is noted', async () => {
    await go('/shelf?item=bee-line');
    await reads(browser, '15 % off', 'aside');
    await type(browser, 'It weighs', '2.4');
    await press(browser, 'Set by it');
    await reads(browser, 'From a weighed spoon', 'aside');
    expect(Number(await value('Solid in a spoon'))).toBeGreaterThan(30);
    await type(browser, 'It weighs', '9');
    await press(browser, 'Set by it');
    await reads(browser, 'which no glitter is', 'aside');
    await type(browser, 'How much', '12.5');
    await press(browser, 'Note it');
    await reads(browser, /−12\.5 ml\s+used on a cup\s+97\.5 ml left/, 'aside');
    await type(browser, 'How much', '900');
    await press(browser, 'Note it');
    await reads(browser, '900 can’t go', 'aside');
  });
});

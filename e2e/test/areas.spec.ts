import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { PATIENCE, choose, kept, named, openArea, painted, press, reads, tick, type, valueOf, withNamed } from '../src/browser';
import { dragHandle, handle } from '../src/drag-handle';
import { browser, programForAll, visit } from '../src/running';

programForAll();

const FOLDER = mkdtempSync(join(tmpdir(), 'aurantia-areas-'));
const open = async (path: string) => {
  await visit(path);
  await reads(browser, 'Left over on the wall');
  await painted(browser);
};
const value = (name: string) => valueOf(browser, name);
const becomes = (name: string, wanted: string) =>
  browser.wait(async () => (await value(name)) === wanted, PATIENCE, `${name} never reads ${wanted}`);
const pickFile = async (css: string, name: string, text: string) => {
  const file = join(FOLDER, name);
  writeFileSync(file, text);
  await browser.findElement(By.css(css)).sendKeys(file);
};

describe('an edge is moved', () => {
  test('by the pointer on the flat wall: figures follow, lines take it, one step back undoes it', async () => {
    await open('/designs/copper-eaves/areas');
    const before = (await value('Upper edge')) ?? '';
    await dragHandle('au-wrap-view', 'Upper edge of Foot', 0, -60);
    await browser.wait(async () => Number(await value('Upper edge')) > 80, PATIENCE, 'the edge never moves');
    await reads(browser, /to (8|9)\d(\.5)? mm/, 'au-wrap-view');
    await kept(browser);
    await press(browser, 'Undo');
    await becomes('Upper edge', before);
    expect(await withNamed(browser, 'button', 'Undo', (found) => found.isEnabled())).toBe(false);
    // Half way up the coated wall of 195 mm lies 35.5 mm above: the line takes what comes near it.
    const mm = await browser.executeScript<number>(
      'const knobs = ["Lower", "Upper"].map((one) => document.querySelector(`au-wrap-view [aria-label="${one} edge of Foot"] .knob`).getBoundingClientRect().y); return (knobs[0] - knobs[1]) / 62',
    );
    await dragHandle('au-wrap-view', 'Upper edge of Foot', 0, Math.round(-36.4 * mm));
    await becomes('Upper edge', '97.5');
  });

  test('the drawn wall goes along with the hand, and back again', async () => {
    await open('/designs/copper-eaves/areas');
    const drawn = () => browser.executeScript<string>('return document.querySelector("au-wrap-view canvas").toDataURL()');
    const before = await drawn();
    await dragHandle('au-wrap-view', 'Upper edge of Foot', 0, -60, () =>
      browser.wait(async () => (await drawn()) !== before, PATIENCE, 'the drawing never follows the hand'),
    );
    await kept(browser);
    await press(browser, 'Undo');
    await browser.wait(async () => (await drawn()) === before, PATIENCE, 'the drawing never goes back');
  });

  test('by the pointer on the cup', async () => {
    await open('/designs/peat-fire/areas');
    await openArea(browser, 'Embers');
    const before = Number(await value('Upper edge'));
    await dragHandle('au-cup-view', 'Upper edge of Embers', 0, 40);
    await browser.wait(async () => Number(await value('Upper edge')) < before - 10, PATIENCE, 'the edge never moves');
  });

  test('by arrow keys, a mm or ten at a time', async () => {
    await open('/designs/orchard-frost/areas');
    const slider = await named(browser, 'au-wrap-view [role=slider]', 'Upper edge of Grove');
    await slider.sendKeys(Key.ARROW_UP, Key.ARROW_UP);
    await becomes('Upper edge', '109');
    await slider.sendKeys(Key.chord(Key.SHIFT, Key.ARROW_DOWN));
    await becomes('Upper edge', '99');
    expect(
      await withNamed(browser, 'au-wrap-view [role=slider]', 'Upper edge of Grove', (found) =>
        found.getAttribute('aria-valuetext'),
      ),
    ).toBe('99 mm above the foot');
  });
});

describe('sections round', () => {
  test('a wanted width says what fits; made equal they leave no sliver, and the cup turns to the chosen one', async () => {
    await open('/designs/peat-fire/areas');
    await press(browser, 'Sections');
    await type(browser, 'Each wide', '36');
    await reads(browser, '5 sections fit, leaving a sliver of 10 mm. Made equal, each is 38 mm wide there.');
    await press(browser, 'Make 5 equal');
    await reads(browser, 'Section 5', 'au-areas-stage li');
    await reads(browser, /none left over/, '.rail');
    await reads(browser, '38 mm wide below', 'au-wrap-view');
    await reads(browser, '53.3 mm wide above', 'au-wrap-view');
    // Handles of what faces away aren't drawn: the cup has turned to the first, and then to the third, which lies behind it.
    await handle('au-cup-view', 'Right edge of Section 1');
    // Pressed on the flat wall: the third of five lies in the middle.
    await browser.findElement(By.css('au-wrap-view canvas')).click();
    await named(browser, 'input', 'Name of Section 3');
    await handle('au-cup-view', 'Right edge of Section 3');
    await press(browser, 'Undo');
    await reads(browser, '2 areas', '.rail');
  });
});

describe('many motifs', () => {
  test('200 of them come in from the worker, 10,000 get a sentence, none over another', async () => {
    await open('/designs/thistle-weave/areas');
    await press(browser, 'Scatter');
    await reads(browser, '40 × spot', 'au-areas-stage li');
    await type(browser, 'Wide', '5');
    await type(browser, 'How many', '200');
    await reads(browser, '200 × spot', 'au-areas-stage li');
    await type(browser, 'How many', '10000');
    await reads(browser, '2000 motifs are the most', '.wrong-note');
    await reads(browser, '200 × spot', 'au-areas-stage li');
    await type(browser, 'Wide', '400');
    await reads(browser, 'A motif is at most 300 mm wide', '.wrong-note');
    await type(browser, 'Wide', '290');
    await reads(browser, 'a motif can’t be wider than the cup', '.wrong-note');
    await press(browser, 'Remove Scatter 1');
    await reads(browser, '8 areas, none left over', '.rail');
  });

  test('an SVG is reduced to its outline; one that can’t be leaves the last', async () => {
    await open('/designs/slate-and-saffron/areas');
    await openArea(browser, 'Saffron');
    const evil =
      '<svg xmlns="http://www.w3.org/2000/svg" onload="document.title=1"><script>document.title="gone"</script><image href="http://127.0.0.1:9/x.png"/><path d="M0 0L40 0L20 40Z"/></svg>';
    await pickFile('au-outline input', 'Kite.svg', evil);
    await reads(browser, 'Only its outline was taken; left out: script, image.', 'au-outline');
    await reads(browser, 'Kite, 24 mm wide', 'au-areas-stage li');
    expect(await browser.getTitle()).toBe('Slate & Saffron · Aurantia');
    await pickFile('au-outline input', 'Knot.svg', '<svg><path d="M0 0L40 40L40 0L0 40Z"/></svg>');
    await reads(browser, 'Lines of this outline cross', 'au-outline');
    await reads(browser, 'The outline stays as it was.', 'au-outline');
    await pickFile('au-outline input', 'Huge.svg', `<svg><path d="M0 0${'L1 1'.repeat(1_100_000)}Z"/></svg>`);
    await reads(browser, 'over a megabyte', 'au-outline');
    await reads(browser, 'Kite, 24 mm wide', 'au-areas-stage li');
    await kept(browser);
  });
});

describe('order, copies, locks and masks', () => {
  test('a copy, a lock and a mask', async () => {
    await open('/designs/copper-eaves/areas');
    await openArea(browser, 'Ridge');
    await press(browser, 'Duplicate Ridge');
    await reads(browser, 'Ridge 2', 'au-areas-stage li');
    await reads(browser, 'Nothing of Ridge is left to see.');
    await tick(browser, 'locked');
    await reads(browser, 'locked', 'au-areas-stage li.chosen small');
    expect(await withNamed(browser, 'button', 'Remove Ridge 2', (found) => found.isEnabled())).toBe(false);
    await browser.wait(
      async () => (await browser.findElements(By.css('au-wrap-view [role=slider]'))).length === 0,
      PATIENCE,
      'a locked area has handles',
    );
    await tick(browser, 'locked');
    await tick(browser, 'masked');
    await reads(browser, 'masked', 'au-areas-stage li.chosen small');
    await press(browser, 'Remove Ridge 2');
    await reads(browser, '4 areas, none left over', '.rail');
  });

  test('a section is mirrored over to the other side of the cup', async () => {
    await open('/designs/orchard-frost/areas');
    await press(browser, 'Section');
    await type(browser, 'From the seam', '200');
    await press(browser, 'Mirror Section 1');
    await reads(browser, 'Section 2', 'au-areas-stage li.chosen');
    expect(Number(await value('From the seam'))).toBeCloseTo(160 - Number(await value('Wide')), 1);
  });

  test('the order is changed by keys, and decides who is on top', async () => {
    await open('/designs/apiary-noon/areas');
    const names = () =>
      browser.executeScript<string[]>(
        'return [...document.querySelectorAll("au-areas-stage li .row b:first-child")].map((b) => b.innerText)',
      );
    const row = await named(browser, 'button.row', /^Cells /);
    await row.sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
    await browser.wait(async () => (await names()).indexOf('Cells') === 0, PATIENCE, 'it never goes under');
    await press(browser, 'Undo');
    await browser.wait(async () => (await names()).indexOf('Cells') === 1, PATIENCE, 'it never comes back');
  });

  test('an edge counted as a share follows the cup', async () => {
    await open('/designs/copper-eaves/areas');
    await openArea(browser, 'Eaves');
    await choose(browser, 'How lower edge is counted', 'of the wall');
    await becomes('Lower edge', '31.79');
    await kept(browser);
  });
});

describe('templates', () => {
  test('are drawn, warn of the pucker, and come as PDF', async () => {
    await open('/designs/copper-eaves/areas');
    await press(browser, 'Templates');
    await press(browser, /^Eaves, strip/);
    await reads(browser, 'cut the strip curved as drawn');
    await tick(browser, 'straight strip');
    await reads(browser, 'a straight strip puckers');
    const link = await named(browser, 'a', /^PDF, \d+ pages? A4$/);
    const reply = await fetch((await link.getAttribute('href')) ?? '');
    expect(reply.headers.get('content-type')).toBe('application/pdf');
    await press(browser, /^Eaves, outline film/);
    await type(browser, 'Gap to cover', '2');
    await reads(browser, 'Reaches 2.5 mm out');
  });

  test('a decal is planned: how far it wraps, where its middle goes, and laid as a coat', async () => {
    await open('/designs/thistle-weave/areas');
    await press(browser, 'Decal');
    await type(browser, 'Wide', '60');
    await reads(browser, /Wraps\s+80°/);
    await reads(browser, /Slits\s+\d/);
    await type(browser, 'Its middle above the foot', '900');
    await reads(browser, 'Its middle must lie on the coated wall.', '.wrong-note');
    await type(browser, 'Its middle above the foot', '85');
    await press(browser, 'Lay it as a coat');
    await reads(browser, 'It is among the coats now');
    await reads(browser, '13 coats', '.rail');
  });
});

describe('cups', () => {
  test('the wizard asks kind by kind; a reading that can’t be stops it', async () => {
    await visit('/cups');
    await press(browser, 'Measure a cup');
    await press(browser, /^Stemmed glass The edge/);
    await reads(browser, 'Stand the glass on paper');
    await press(browser, 'Next');
    await reads(browser, 'Wind a thread round the stem');
    await type(browser, 'Height above the foot', '0');
    await reads(browser, 'Heights go upwards', '.wrong-note');
    expect(await withNamed(browser, 'button', 'Next', (found) => found.isEnabled())).toBe(false);
    await press(browser, 'Close');
    await press(browser, 'Small, with a handle');
    await reads(browser, 'Patch wide');
  });

  test('a typical cup is marked until it is measured', async () => {
    await visit('/cups');
    await press(browser, 'Typical cups');
    await browser.wait(async () => (await browser.findElements(By.css('[mat-menu-item]'))).length > 10, PATIENCE, 'no library');
    await press(browser, 'Plump 550 ml', '[mat-menu-item]');
    await reads(browser, 'Typical readings from the library', 'aside');
    await press(browser, 'they are my cup’s now');
    await browser.wait(
      async () => !(await (await browser.findElement(By.css('aside'))).getText()).includes('Typical readings'),
      PATIENCE,
      'still typical',
    );
  });

  test('a table of cups comes in; a faulty one brings none and says why', async () => {
    await visit('/cups');
    await reads(browser, 'Measuring sheet');
    await pickFile(
      'input[type=file]',
      'bad.csv',
      'name,kind,round_1_mm,height_2_mm,round_2_mm\nGood,tapered,220,200,280\nBad,tapered,about,200,280\n',
    );
    await reads(browser, 'row 3, stations[0].circumference', '.faults');
    await pickFile(
      'input[type=file]',
      'good.csv',
      'name;kind;round_1_mm;height_2_mm;round_2_mm\nBecher;tapered;"220,5";200;280\n',
    );
    await reads(browser, '1 cup came in from good.csv.');
    await reads(browser, 'Becher', '.cups');
  });
});

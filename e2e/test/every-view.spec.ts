import { By, Key } from 'selenium-webdriver';
import { PATIENCE, kept, menuItem, painted, press, reads, resize, see, type, valueOf } from '../src/browser';
import { nameOf } from '../src/by-name';
import { tooSmall, tooWide, violations } from '../src/fit-and-axe';
import { browser, program, programForAll, visit } from '../src/running';
import { views } from '../src/views';

programForAll();

const go = async (path: string, says: string) => {
  await visit(path);
  await reads(browser, says);
};

const underEveningLight = async (does: () => Promise<void>) => {
  await browser.executeScript('document.documentElement.dataset.light = "evening"');
  await does();
  await browser.executeScript('document.documentElement.dataset.light = "day"');
};

test('what these tests find by its name, the browser calls by that name', async () => {
  for (const view of ['areas', 'colour', 'shelf', 'money']) {
    const [, path, says] = views.find(([name]) => name === view) ?? views[0];
    await go(path, says);
    const all = await browser.findElements(
      By.css('main :is(button, a, input, textarea, mat-select, [role=option], [role=radio])'),
    );
    // Each of them is asked of the browser by itself: a few from all over the page.
    for (let i = 0; i < all.length; i += Math.ceil(all.length / 15))
      expect(await nameOf(browser, all[i])).toBe((await all[i].getAccessibleName()).trim());
  }
});

describe('each view passes axe and fits its window', () => {
  test.each(views)('%s', async (_, path, says) => {
    await resize(browser, 1280, 800);
    await go(path, says);
    expect(await violations(browser)).toEqual([]);
    // By evening nothing but the colours is another.
    await underEveningLight(async () => expect(await violations(browser, ['color-contrast'])).toEqual([]));
    expect(
      await browser.executeScript(
        'return [document.documentElement.scrollHeight <= 800, document.documentElement.scrollWidth <= 1280]',
      ),
    ).toEqual([true, true]);
    await resize(browser, 820, 1100);
    expect(await browser.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(820);
    // A pane of its own is tall enough to be of use.
    const panes =
      'return [...document.querySelectorAll(".cdk-virtual-scrollable")].map((one) => one.getBoundingClientRect().height)';
    for (const height of await browser.executeScript<number[]>(panes)) expect(height).toBeGreaterThan(400);
    await resize(browser, 390, 840);
    // What measures itself anew takes a turn to.
    await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'fits a phone');
    // By finger.
    await browser.sendDevToolsCommand('Emulation.setEmulatedMedia', { features: [{ name: 'pointer', value: 'coarse' }] });
    await browser.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: true });
    expect(await tooSmall(browser)).toEqual([]);
    expect(await tooWide(browser)).toBeLessThanOrEqual(0);
    await browser.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: false });
    await browser.sendDevToolsCommand('Emulation.setEmulatedMedia', { features: [] });
    // At 200 % of 1280 × 800, and with text of 24 px.
    await resize(browser, 640, 400);
    expect(await tooWide(browser)).toBeLessThanOrEqual(0);
    expect(await violations(browser)).toEqual([]);
    await resize(browser, 1280, 800);
    await browser.executeScript('document.documentElement.style.fontSize = "24px"');
    expect(await tooWide(browser)).toBeLessThanOrEqual(0);
    await browser.executeScript('document.documentElement.style.fontSize = ""');
  });
  test('and none of them breaks a rule of its policy or logs a fault', async () => {
    const logged = await browser.manage().logs().get('browser');
    // That there is no graphics card here is said by what would draw with it.
    expect(logged.map((entry) => entry.message).filter((message) => !message.includes('THREE.WebGLRenderer'))).toEqual([]);
  });
  test('sections, templates, the decal planner, the measuring wizard and a refused file', async () => {
    await go('/designs/copper-eaves/areas', 'Left over on the wall');
    await press(browser, 'Sections');
    await reads(browser, 'wide at the foot');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Templates');
    await reads(browser, 'Both sides are the seam.');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Decal');
    await reads(browser, 'A flat decal on this wall');
    expect(await violations(browser)).toEqual([]);
    await go('/cups', 'Measuring sheet');
    await press(browser, 'Measure a cup');
    await reads(browser, 'Which kind is it?');
    expect(await violations(browser)).toEqual([]);
    await press(browser, /^Small, with a handle /);
    await reads(browser, 'Reading 1 of 2');
    expect(await violations(browser)).toEqual([]);
  });
  test('what opens over a page: a menu, and a list of choices', async () => {
    await go('/designs', 'Copper Eaves');
    await press(browser, 'More for Copper Eaves');
    await reads(browser, 'Copy', '.mat-mdc-menu-panel');
    expect(await violations(browser)).toEqual([]);
    const over = () => browser.findElements(By.css('[role=region][aria-label="Opened over the page"]'));
    expect(await over()).toHaveLength(1);
    await browser.actions().sendKeys(Key.ESCAPE).perform();
    await browser.wait(async () => (await over()).length === 0, PATIENCE, 'an empty region stays');
    expect(await violations(browser)).toEqual([]);
    await go('/designs/copper-eaves/colour', 'By the eye');
    await (await see(browser, 'mat-select')).click();
    await see(browser, '.mat-mdc-select-panel mat-option');
    expect(await violations(browser)).toEqual([]);
  });
  test('a jar being looked for, found by nearness, and one that isn’t there yet', async () => {
    await go('/designs/copper-eaves/colour', 'By the eye');
    await press(browser, 'Add a glitter');
    await reads(browser, 'Used lately', 'au-jar-finder');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Near to this blend');
    await reads(browser, 'away', 'au-jar-finder');
    expect(await violations(browser)).toEqual([]);
    await type(browser, 'Find a jar', 'no such thing');
    await reads(browser, 'Nothing on the shelf is called so.', 'au-jar-finder');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Leave it');
    await press(browser, 'Cut', 'dfn');
    await reads(browser, 'flat to flat', '.mat-mdc-tooltip');
  });
  test('a mix being found, a photo, blends compared, a jar taken off', async () => {
    await go('/designs/copper-eaves/colour', 'By the eye');
    await press(browser, 'Find a mix');
    await press(browser, 'From a photo');
    await reads(browser, 'All of it searched');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Compare');
    await reads(browser, 'side by side');
    expect(await violations(browser)).toEqual([]);
    await go('/shelf?item=candle-end', 'flakes in a ml');
    await press(browser, 'Take off the shelf');
    await reads(browser, 'Instead of Candle End');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Put Candle End back');
    await reads(browser, 'Candle End', 'section li');
  });
  test('a fade, a ring, the glues, a cheaper twin, a palette from a photo', async () => {
    await go('/designs/thistle-weave/colour', 'By the eye');
    for (const [tab, says] of [
      ['Ring', 'Round from the seam'],
      ['Glue', 'Thin resin wipe'],
    ] as const) {
      await press(browser, tab);
      await reads(browser, says);
      expect(await violations(browser)).toEqual([]);
    }
    await go('/designs/apiary-noon/colour', 'This will show');
    expect(await violations(browser)).toEqual([]);
    await go('/shelf/palettes', 'no mix yet');
    await press(browser, 'New palette');
    await menuItem(browser, 'From a photo');
    await reads(browser, 'Choose a photo');
    expect(await violations(browser)).toEqual([]);
  });
  test('dialogs, an open coat and a refused field', async () => {
    await go('/designs/copper-eaves/coats', 'Scuff and degrease');
    await browser.executeScript('document.querySelectorAll(".title")[10].click()');
    await reads(browser, 'Waits for');
    await type(browser, 'Film', 'thick');
    await reads(browser, 'Type a number');
    expect(await violations(browser)).toEqual([]);
    await press(browser, /Help and keys/);
    await reads(browser, 'It saves from: A coat over one that isn’t ready');
    expect(await violations(browser)).toEqual([]);
    for (const [tab, says] of [
      ['Keys', 'Bring the area you are on forward'],
      ['Words', 'How wide a flake is'],
      ['Care', 'Nitrile gloves'],
    ] as const) {
      await press(browser, tab);
      await reads(browser, says, 'au-help-dialog');
      expect(await violations(browser)).toEqual([]);
    }
    await press(browser, 'Done');
    await press(browser, /this workshop/);
    await reads(browser, 'Smallest spoon');
    expect(await violations(browser)).toEqual([]);
    await press(browser, 'Done');
  });
});

test('by keyboard alone: places, search, help, a new design, the cup turned', async () => {
  await go('/designs', 'Copper Eaves');
  const body = () => browser.switchTo().activeElement();
  await body().sendKeys('g', 's');
  await reads(browser, 'Put on the shelf');
  await body().sendKeys('/');
  await body().sendKeys('moss');
  await browser.wait(
    async () => !(await browser.executeScript<string>('return document.body.innerText')).includes('Brickfield'),
    PATIENCE,
    'the search never narrows',
  );
  await reads(browser, 'Quarry Moss');
  await browser.executeScript('document.activeElement.blur()');
  await body().sendKeys('g', 'c');
  await reads(browser, 'Measuring sheet');
  await body().sendKeys('?');
  await reads(browser, 'Stage by stage');
  await body().sendKeys(Key.ESCAPE);
  await browser.wait(
    async () => (await browser.findElements({ css: 'mat-dialog-container' })).length === 0,
    PATIENCE,
    'help never closes',
  );
  await body().sendKeys('g', 'd');
  await reads(browser, 'Lately on the table');

  // From the top of the page to a two-band design with nothing but Tab and Enter.
  const tabTo = async (wanted: string) => {
    for (let presses = 0; presses < 80; presses += 1) {
      await body().sendKeys(Key.TAB);
      if ((await body().getAccessibleName()).startsWith(wanted)) return;
    }
    throw new Error(`Tab never reaches “${wanted}”`);
  };
  await tabTo('New design');
  await body().sendKeys(Key.ENTER);
  await reads(browser, 'Which cup is it?');
  await tabTo('Areas');
  await body().sendKeys(Key.ENTER);
  await reads(browser, 'Two bands are a good start');
  await tabTo('Split in two bands');
  await body().sendKeys(Key.ENTER);
  await reads(browser, '2 areas, none left over');
  await painted(browser);
  const view = await see(browser, 'au-cup-view canvas');
  await view.sendKeys(Key.ARROW_RIGHT);
  await kept(browser);
  expect(await browser.executeScript('return getComputedStyle(document.activeElement).outlineStyle')).toBe('solid');
});

test('units change everywhere at once and are kept', async () => {
  await go('/designs/copper-eaves/areas', 'Left over');
  await press(browser, /this workshop/);
  await press(browser, 'inches');
  await press(browser, 'grams');
  await press(browser, 'Done');
  await reads(browser, '83.4 in² to coat', '.rail');
  const edge = () => valueOf(browser, 'Upper edge');
  await browser.wait(async () => (await edge()) === '2.44', PATIENCE, 'the edge is never in inches');
  await type(browser, 'Upper edge', '3');
  await browser.navigate().refresh();
  await kept(browser);
  expect(await edge()).toBe('3.00');
  await go('/designs/copper-eaves/card', 'Rest until cured through');
  await reads(browser, '0.00–3.00 in', '.sheet');
  const { document } = (await (await fetch(`${program.address}/api/designs/copper-eaves`)).json()) as {
    document: { areas: { upper: { level: { mm: number } } }[] };
  };
  expect(document.areas[0].upper.level.mm).toBe(76.2);
  await press(browser, /this workshop/);
  await press(browser, 'mm');
  await press(browser, 'ml');
  await press(browser, 'Done');
});

test('the card prints on one page, A4 and Letter', async () => {
  await go('/designs/peat-fire/card', 'Rest until cured through');
  await painted(browser);
  for (const [paperWidth, paperHeight] of [
    [8.27, 11.69],
    [8.5, 11],
  ]) {
    const { data } = (await browser.sendAndGetDevToolsCommand('Page.printToPDF', {
      paperWidth,
      paperHeight,
      marginTop: 0.4,
      marginBottom: 0.4,
      marginLeft: 0.45,
      marginRight: 0.45,
    })) as unknown as { data: string };
    expect(
      Buffer.from(data, 'base64')
        .toString('latin1')
        .match(/\/Type\s*\/Page\b/g),
    ).toHaveLength(1);
  }
});

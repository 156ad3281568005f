import { Key } from 'selenium-webdriver';
import { PATIENCE, openBrowser, painted, press, reads, resize, see, valueOf } from '../src/browser';
import { cameAhead } from '../src/came-ahead';
import { dragHandle } from '../src/drag-handle';
import { browser, program, programForAll, visit } from '../src/running';

programForAll({ graphics: true });
const go = async (path: string, says: string) => {
  await browser.get(`${program.address}${path}`);
  await reads(browser, says);
};

test('the cup turns by the pointer, drawn by the graphics card', async () => {
  await go('/designs/copper-eaves/cup', 'Which cup is it?');
  await painted(browser);
  const canvas = await see(browser, 'au-cup-view canvas');
  expect(await canvas.getAttribute('data-painted')).toBe('solid');
  const before = await canvas.takeScreenshot();
  await browser
    .actions({ async: true })
    .move({ origin: canvas })
    .press()
    .move({ origin: canvas, x: 70, duration: 200 })
    .release()
    .perform();
  await browser.wait(async () => (await canvas.takeScreenshot()) !== before, PATIENCE, 'the cup never turns');
});

test('an edge is moved over the cup that the graphics card draws', async () => {
  await go('/designs/copper-eaves/areas', 'Left over on the wall');
  await painted(browser);
  expect(await (await see(browser, 'au-cup-view canvas')).getAttribute('data-painted')).toBe('solid');
  const before = await valueOf(browser, 'Upper edge');
  await dragHandle('au-cup-view', 'Upper edge of Foot', 0, -30);
  await browser.wait(async () => (await valueOf(browser, 'Upper edge')) !== before, PATIENCE, 'the edge never moves');
});

test('drawn so, and painted by many hands, no page breaks a rule of its policy or logs a fault', async () => {
  await go('/designs/apiary-noon/areas', 'Left over on the wall');
  await painted(browser);
  await resize(browser, 1280, 800, 2);
  await go('/designs/copper-eaves/colour', 'By the eye');
  await painted(browser);
  await resize(browser, 1280, 800);
  const logged = await browser.manage().logs().get('browser');
  expect(logged.map((entry) => entry.message)).toEqual([]);
});

test('a cup on a screen of fine dots is painted by all hands, and though none of them can be begun but the first', async () => {
  const other = await openBrowser(false);
  try {
    // The one that drops flakes is told how many cores there are; a helper is that worker begun again. Where it is to fail, from
    // an address where there is nothing.
    await other.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
      source: `
        const begun = window.Worker;
        window.helpers = 0;
        window.lost = 0;
        Object.defineProperty(navigator, 'hardwareConcurrency', { value: 2 });
        let flakes = null;
        const breaks = location.hash === '#alone';
        window.Worker = class extends begun {
          constructor(url, how) {
            const helps = String(url) === flakes;
            super(helps && breaks ? '/nothing-here.js' : url, how);
            this.from = String(url);
            if (!helps) return;
            window.helpers += 1;
            this.addEventListener('error', () => (window.lost += 1));
          }
          postMessage(said, transfer) {
            if (said?.cores) flakes = this.from;
            super.postMessage(said, transfer);
          }
        };`,
    });
    await resize(other, 1280, 800, 2);
    const fine = async (hash: string) => {
      await other.get('about:blank');
      await other.get(`${program.address}/designs/copper-eaves/amounts${hash}`);
      await other.wait(() => other.executeScript('return window.helpers === 1'), PATIENCE, 'no helper is begun');
      await painted(other);
      expect(await other.executeScript('return window.lost')).toBe(hash === '#alone' ? 1 : 0);
      return (await see(other, 'au-cup-view canvas')).takeScreenshot();
    };
    expect(await fine('#alone')).toBe(await fine(''));
  } finally {
    await other.quit();
  }
});

test('the card shows its cup though the program went away before any small one was painted', async () => {
  await go('/designs/copper-eaves/cup', 'Which cup is it?');
  await painted(browser);
  await cameAhead(browser, 'be painted here.');
  await cameAhead(browser, 'selectors:[["au-card-stage"]]');
  await program.stop('SIGKILL');
  await press(browser, /^Card/);
  await painted(browser, 'au-cup-figure canvas');
  expect(await browser.findElements({ css: '[role=alert], mat-snack-bar-container' })).toHaveLength(0);
  await program.start();
});

test('until its flakes lie a cup stands bare, with what is laid out on it', async () => {
  await go('/log', 'Logbook');
  await browser.executeScript(
    `const look = () => {
      const [bare, lines] = ['au-bare-cup polygon', 'canvas.lines[data-painted]'].map((css) => document.querySelector('au-cup-view ' + css));
      if (bare && lines) window.stoodBare = bare.getAttribute('fill');
    };
    new MutationObserver(look).observe(document, { subtree: true, childList: true, attributes: true });`,
  );
  await visit('/designs/copper-eaves/areas');
  await painted(browser);
  expect(await browser.executeScript('return window.stoodBare')).toMatch(/^#[0-9a-f]{6}$/);
  expect(await browser.findElements({ css: 'au-bare-cup' })).toHaveLength(0);
});

test('without a graphics card the cup is painted all the same, and zoomed by the browser as fine as the screen is', async () => {
  const plain = await openBrowser(false);
  try {
    await plain.get(`${program.address}/designs/orchard-frost/cup`);
    await painted(plain);
    const canvas = await see(plain, 'au-cup-view canvas');
    expect(await canvas.getAttribute('data-painted')).toBe('flat');
    const middle = () =>
      plain.executeScript<number[]>(
        `const cup = arguments[0];
        const part = new OffscreenCanvas(40, 40).getContext('2d');
        part.drawImage(cup, cup.width * 0.55, cup.height / 2, 40, 40, 0, 0, 40, 40);
        return [...part.getImageData(0, 0, 40, 40).data]`,
        canvas,
      );
    const before = await middle();
    expect(before.some((value) => value > 0)).toBe(true);
    await canvas.sendKeys(Key.ARROW_LEFT);
    await plain.wait(async () => (await middle()).join() !== before.join(), PATIENCE, 'the cup never turns');

    await plain.get(`${program.address}/designs/orchard-frost/areas`);
    await painted(plain);
    const painters = ['au-cup-view canvas', 'au-cup-view canvas.lines', 'au-wrap-view canvas'];
    for (const dots of [2, 1.25, 1]) {
      // What zooming does to a page of 1280 × 800; at 125 % what is painted doesn’t end with a whole dot.
      await resize(plain, Math.round(1280 / dots), Math.round(800 / dots), dots);
      const asFine = `return arguments[0].map((css) => document.querySelector(css)).every((one) => Math.abs(one.width - one.clientWidth * ${dots}) <= 1)`;
      await plain.wait(() => plain.executeScript<boolean>(asFine, painters), PATIENCE, `they never have ${dots} dots a pixel`);
      await painted(plain);
    }
  } finally {
    await plain.quit();
  }
});

import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { lay, make, upTo } from '../src/at-the-bench';
import { PATIENCE, press, reads, resize, see, tick, type } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { madeAlready } from '../src/made-already';
import { photoOf } from '../src/photo-of-make';
import { browser, program, programForEach } from '../src/running';

/* Cups that are made: from the card to the bench, coat by coat, with what goes wrong on the way. */
programForEach();

/** What hands do at the simulated scale. */
const scale = (command: string) => program.send('POST', 'devices/simulated', { device: 'scale', command });
const inner = (css: string) => browser.executeScript<string>('return document.querySelector(arguments[0]).innerText', css);
/** g that the part is asked for that is poured next, once the scale shows nought. */
const asked = async (): Promise<number> => {
  await reads(browser, /Pour [\d.]+ g\./, 'au-weigh-in .says');
  return Number(/Pour ([\d.]+) g/.exec(await inner('au-weigh-in .says'))?.[1]);
};

test('Copper Eaves is made from first touch to cured: a window missed, resin weighed in and over-poured, reloaded and the program killed on the way', async () => {
  const { document, revision } = (await (await fetch(`${program.address}/api/workshop`)).json()) as {
    document: object;
    revision: number;
  };
  await program.send('PUT', 'workshop', { parent: revision, document: { ...document, resinStep: 0.1 } });
  const address = await make('copper-eaves');
  const glue = await upTo(/^Glue/);
  await lay(glue);
  await program.wait(600);
  await reads(browser, 'The window for this coat has closed', '[role=alert]');
  await press(browser, 'Something looks wrong');
  await press(browser, 'Too late for it', 'au-went-wrong [role=option]');
  await reads(browser, 'A wipe that has set holds nothing', 'au-went-wrong .answer');
  await press(browser, 'Write it down');
  await lay(glue + 1);
  await program.wait(600);
  const resin = await upTo(/^First resin/, glue + 2);
  await press(browser, 'Begin', '.large');
  await reads(browser, /Stir\s*[23]:\d\d\s*until/, 'au-coat-work');
  await press(browser, 'Weigh it in');
  const partA = await asked();
  expect(await violations(browser)).toEqual([]);
  await scale('put -3');
  await reads(browser, /below nought: put the pot back/, 'au-weigh-in .says');
  await scale('put 3');
  await asked();
  // A hand slips: B is asked for by what A really was.
  await scale(`put ${partA + 4.4}`);
  await reads(browser, /in place of [\d.]+ g: it follows what was poured before/, 'au-weigh-in');
  await scale('pull out');
  await reads(browser, 'The scale can’t be reached', 'au-weigh-in .says');
  const partB = await asked();
  expect(partB).toBeGreaterThan(((partA + 4) * 10) / 11);
  // A page that is reloaded in the middle of a pour forgets none of it.
  await browser.navigate().refresh();
  await press(browser, 'Weigh it in');
  await reads(browser, /in place of [\d.]+ g: it follows what was poured before/, 'au-weigh-in');
  expect(Math.abs((await asked()) - partB)).toBeLessThan(0.05);
  // A scale that is lost with half of it in the pot: what it shows afterwards is asked about, and nothing is set to nought.
  await scale(`put ${partB / 2}`);
  await reads(browser, /to go\.$/, 'au-weigh-in .says');
  await scale('pull out');
  await reads(browser, 'The scale was away while you poured.', 'au-weigh-in .says');
  await scale(`put ${partB / 2}`);
  await reads(browser, new RegExp(`If ${partB.toFixed(1).slice(0, -2)}\\.\\d g is what lies in the pot`), 'au-weigh-in .says');
  await press(browser, 'Take it as it is');
  await reads(browser, 'All of it is weighed in.', 'au-weigh-in .says');
  await reads(browser, /[\d.]+ ml planned/, '.tiles');
  const figure = /Part A\s+([\d.]+ ml)/.exec(await inner('.tiles'))?.[1] ?? 'no figure';
  await press(browser, 'Weigh what stays');
  await type(browser, 'Left in the pot', '2.2');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'It is on', '.large');
  await reads(browser, `Coat ${resin + 1} of`, 'au-coat-work');
  await reads(browser, /Look again in\s*1[12]:\d\d/, 'au-coat-work');
  // A program that dies and a page that is reloaded lose no moment.
  await program.wait(60);
  await program.stop('SIGKILL');
  await program.start();
  await program.wait(60);
  await browser.get(address);
  await reads(browser, /Look again\s*Look for runs and bubbles\s*since/, 'au-coat-work');
  await program.wait(600);
  await reads(browser, /Ready\s*Ready\s*since/, 'au-coat-work');
  const of = Number(/of (\d+)/.exec(await inner('.count'))?.[1]);
  for (let number = resin + 1; number < of; number += 1) {
    await lay(number);
    await program.wait(600);
  }
  await press(browser, 'It rests from now', '.large');
  await reads(browser, 'All coats are on', 'au-coat-work');
  await program.wait(100 * 60);
  await reads(browser, 'The cup is done', 'au-coat-work');
  await press(browser, 'What happened so far');
  await reads(browser, new RegExp(`Part A\\s+[\\d.]+ ml\\s+${figure}\\s+Part B\\s+[\\d.]+ ml\\s+[\\d.]+ ml`), 'au-make-log');
  await reads(browser, /Weighed: First resin.*\s+2\.2 g left in the pot/, 'au-make-log');
  await reads(browser, 'Too late for it: Glitter', 'au-make-log');
  await reads(browser, 'The room meanwhile', 'au-make-score');
  expect(await violations(browser)).toEqual([]);
  // As it was done becomes a recipe, line by line: its amounts are those that were weighed, to the step they are measured by.
  await tick(browser, /^First resin over the glitter, film: .* planned/);
  await press(browser, 'Keep it as a design of its own');
  await reads(browser, 'Copper Eaves, as make 1', 'h1.unseen');
  await reads(browser, /Part A\s*[\d.]+ ml/);
  const kept = [...(await inner('main')).matchAll(/Part A\s*([\d.]+) ml/g)].map(([, ml]) => Number(ml));
  const off = Math.min(...kept.map((ml) => Math.abs(ml - Number.parseFloat(figure))));
  expect(off).toBeLessThanOrEqual(0.1001);
});

test('what was weighed at the bench is learnt, shown with how sure it is, and forgotten by one press', async () => {
  await madeAlready(program, 'copper-eaves');
  await browser.get(`${program.address}/learnt`);
  const pot = /What stays in the pot\s+[\d.]+ ml ± \d+ %\s+from (\d+) weighings; 1\.5 ml ± 40 % before any/;
  await reads(browser, pot, 'main');
  const all = Number(pot.exec(await inner('main'))?.[1]);
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 844);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'what was learnt is wider than a phone');
  await resize(browser, 1280, 800);
  const section = 'section[aria-label="What stays in the pot"]';
  await press(browser, /was a slip$/, `${section} button`);
  await reads(browser, new RegExp(`What stays in the pot[^]*from ${all - 1} weighings?;`), 'main');
  await press(browser, 'Take that back', `${section} button`);
  await reads(browser, pot, section);
  await press(browser, 'Forget all of it: begin anew', `${section} button`);
  await browser.wait(
    async () => (await browser.findElements(By.css(section))).length === 0,
    PATIENCE,
    'what was learnt is never forgotten',
  );
});

test('the logbook finds a cup by a lot, a word of its log and a day, and its log says how near it is to its recipe', async () => {
  const { shelf } = await madeAlready(program, 'copper-eaves', { late: 600 });
  const find = 'Find makes by design, jar, lot, or a word written at the bench';
  await browser.get(`${program.address}/log`);
  await reads(browser, /Copper Eaves, make 1/);
  const lot = shelf.find((jar) => jar.lot !== '')?.lot ?? '';
  expect(lot).not.toBe('');
  await type(browser, find, `${lot} eaves`);
  await reads(browser, '1 make', '[role=status]');
  await type(browser, find, 'no such word anywhere');
  await reads(browser, 'Nothing fits all of it.');
  expect(await violations(browser)).toEqual([]);
  await type(browser, find, Key.DELETE);
  await type(browser, 'Begun from', '2031-01-01');
  await reads(browser, 'Nothing fits all of it.');
  await type(browser, 'Begun from', Key.DELETE);
  await press(browser, /^Copper Eaves, make 1/);
  await reads(browser, 'The cup is done', 'au-coat-work');
  await press(browser, 'What happened so far');
  await reads(browser, /\d\d?\s*of 100\s*How near it is to its recipe/, 'au-make-score');
  await reads(browser, 'after its window had closed', 'au-make-score');
  expect(await violations(browser)).toEqual([]);
});

test('a photo of the cup with a card in it is read beside the plan, place by place; what is no photo is refused', async () => {
  const whole = await madeAlready(program, 'copper-eaves');
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-photo-'));
  writeFileSync(join(folder, 'cup.png'), await photoOf(whole));
  writeFileSync(join(folder, 'diary.jpg'), 'Dear diary');
  await browser.get(`${program.address}/bench/${whole.id}`);
  await reads(browser, 'The cup is done', 'au-coat-work');
  await press(browser, 'What happened so far');
  await reads(browser, 'With a white or grey card', 'au-make-photos');
  const add = async (name: string) =>
    (await browser.findElement(By.css('input[aria-label="Photo of this cup"]'))).sendKeys(join(folder, name));
  await add('diary.jpg');
  await reads(browser, 'This file is no picture');
  await add('cup.png');
  await reads(browser, 'not read yet', 'au-make-photos');
  await press(browser, /beside the plan$/);
  await reads(browser, 'The cup and the card were found by their edges.', 'mat-dialog-container');
  const rim = await browser.findElement(By.css('[aria-label="Rim, outermost left"]'));
  const stands = async () => Number(await rim.getAttribute('aria-valuenow'));
  const before = await stands();
  const comesTo = (at: number) => browser.wait(async () => (await stands()) === at, PATIENCE, `the handle never stands at ${at}`);
  await rim.sendKeys(Key.ARROW_RIGHT);
  await comesTo(before + 1);
  await rim.sendKeys(Key.ARROW_LEFT);
  await comesTo(before);
  await press(browser, 'Read its colours', 'mat-dialog-container button');
  await reads(browser, /Foot\s+ΔE [\d.]+ ± [\d.]+/, 'mat-dialog-container table');
  expect(await violations(browser)).toEqual([]);
  const told = await inner('mat-dialog-container table');
  const offs = [...told.matchAll(/ΔE ([\d.]+) ± ([\d.]+)/g)].map(([, off, spread]) => [Number(off), Number(spread)]);
  expect(offs.length).toBeGreaterThan(2);
  for (const [off] of offs) expect(off).toBeLessThan(3);
  // A second card makes it surer.
  await press(browser, 'Another card is in the photo', 'mat-dialog-container button');
  await see(browser, '[role=slider][aria-label="Second card"]');
  await press(browser, 'Read its colours', 'mat-dialog-container button');
  await reads(browser, /Foot\s+ΔE [\d.]+ ± [\d.]+/, 'mat-dialog-container table');
  const surer = [...(await inner('mat-dialog-container table')).matchAll(/± ([\d.]+)/g)].map(([, spread]) => Number(spread));
  for (const [i, [, spread]] of offs.entries()) expect(surer[i]).toBeLessThan(spread);
  await press(browser, 'Done', 'mat-dialog-container button');
  await reads(browser, /read: .* is farthest off, ΔE/, 'au-make-photos');
  await reads(browser, /from the plan\s+ΔE [\d.]+ ± [\d.]+/, 'au-make-photos');
});

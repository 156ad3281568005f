import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { makeSchema } from '@aurantia/core/make';
import { PATIENCE, choose, menuItem, openBrowser, painted, picture, press, reads, resize, type, type Browser } from './browser';
import { madeAlready } from './made-already';
import { photoOf } from './photo-of-make';
import { Program } from './program';

const FOLDER = join(import.meta.dirname, '..', '..', 'docs', 'screenshots');

/** A picture of every main view, from the demo data: `fresh` ones are of the day the demo began, before any cup was made. */
const shots: readonly {
  name: string;
  path: string;
  says: string | RegExp;
  fresh?: true;
  then?: (browser: Browser) => Promise<void>;
}[] = [
  { name: 'designs', path: '/designs', says: /Thistle Weave\s+\d+ coats/ },
  { name: 'cup', path: '/designs/orchard-frost/cup', says: 'Which cup is it?' },
  { name: 'areas', path: '/designs/thistle-weave/areas', says: 'Left over on the wall' },
  {
    name: 'colour',
    path: '/designs/copper-eaves/colour',
    says: 'By the eye',
    then: async (browser) => {
      await browser.executeScript(
        '[...document.querySelectorAll("mat-chip-option button")].find((chip) => chip.innerText.includes("Eaves")).click()',
      );
      await reads(browser, 'Lamp Oil');
    },
  },
  {
    name: 'coats',
    path: '/designs/copper-eaves/coats',
    says: 'Scuff and degrease',
    then: async (browser) => {
      await browser.executeScript('document.querySelectorAll("au-coats-stage .title")[8].click()');
      await reads(browser, 'Waits for');
      await browser.executeScript('document.querySelector("li.open").scrollIntoView({ block: "center" })');
    },
  },
  { name: 'amounts', path: '/designs/peat-fire/amounts', says: 'Part A' },
  { name: 'card', path: '/designs/copper-eaves/card', says: 'Rest until cured through' },
  { name: 'shelf', path: '/shelf?item=first-frost', says: 'flakes in a ml' },
  {
    name: 'fade',
    path: '/designs/apiary-noon/colour',
    says: 'This will show',
  },
  { name: 'cups', path: '/cups', says: 'Measuring sheet' },
  {
    name: 'week',
    path: '/week',
    says: 'is cured through',
    fresh: true,
    then: async (browser) => {
      await reads(browser, 'Plan anew', '.head');
      await browser.executeScript('document.querySelectorAll("au-board button.hands")[6].click()');
      await reads(browser, 'Next can follow', 'au-step-panel');
    },
  },
  { name: 'money', path: '/week/money', says: 'What would be cheaper', fresh: true, then: drawn },
  {
    name: 'refit',
    path: '/designs/slate-and-saffron/cup',
    says: 'See it on another cup',
    then: async (browser) => {
      await press(browser, /^See it on another cup/, 'button');
      await press(browser, 'Child’s mug 120 ml', 'au-refit-dialog [role=option]');
      await reads(browser, 'runs into the handle', 'au-refit-dialog .unfit');
    },
  },
  {
    name: 'findings',
    path: '/designs/orchard-frost/coats',
    says: 'Clear seal',
    then: async (browser) => {
      await browser.executeScript(
        '[...document.querySelectorAll("au-coats-stage .title")].find((title) => title.innerText.includes("Clear seal")).click()',
      );
      await press(browser, 'Remove this coat');
      await reads(browser, '1 thing to look at', '.rail');
      await press(browser, /^Check/, '.rail a');
      await choose(browser, 'What do you see?', 'Bubbles in the cured film');
      await reads(browser, 'In this design');
      await browser.executeScript('document.querySelector(".stage").scrollTop = 0');
    },
  },
  {
    name: 'logbook',
    path: '/log',
    says: /Copper Eaves, make 3/,
  },
  {
    name: 'photo',
    path: '/log',
    says: /Copper Eaves, make 3/,
    then: async (browser) => {
      await press(browser, /^Copper Eaves, make 3/);
      await press(browser, 'What happened so far');
      await press(browser, /beside the plan$/);
      await reads(browser, 'were found by their edges', 'mat-dialog-container');
      await press(browser, 'Read its colours', 'mat-dialog-container button');
      await reads(browser, /Foot\s+ΔE/, 'mat-dialog-container table');
    },
  },
  {
    name: 'repeat',
    path: '/log',
    says: /Copper Eaves, make 3/,
    then: async (browser) => {
      await press(browser, /^Copper Eaves, make 3/);
      await reads(browser, 'The cup is done', 'au-coat-work');
      await press(browser, 'What happened so far');
      await reads(browser, 'The room meanwhile', 'au-make-score');
      await reads(browser, 'this one', 'au-make-score');
      await reads(browser, 'from the plan', 'au-make-photos');
      await drawn(browser);
    },
  },
  // Last: they lay coats, and make a cup.
  {
    name: 'bench',
    path: '/bench',
    says: 'Nothing is on the bench',
    then: async (browser) => {
      await browser.get((await browser.getCurrentUrl()).replace('/bench', '/designs/copper-eaves/card'));
      await reads(browser, 'Rest until cured through');
      await press(browser, 'Make it');
      await type(browser, 'For whom, or when', 'for Friday');
      await press(browser, /^To the bench/, 'mat-dialog-container button');
      for (let coat = 1; coat < 9; coat += 1) {
        await reads(browser, `Coat ${coat} of`, 'au-coat-work');
        await press(browser, /^Begin/, '.large');
        await press(browser, 'It is on', '.large');
      }
      await reads(browser, 'First resin over the glitter', 'au-coat-work h2');
      await press(browser, /^Begin/, '.large');
      await reads(browser, /Stir\s+2:/, 'au-coat-work');
      await browser.executeScript('document.activeElement.blur()');
    },
  },
  {
    name: 'strings',
    path: '/designs/peat-fire/coats',
    says: 'Scuff and degrease',
    then: async (browser) => {
      await press(browser, 'Add a coat');
      await menuItem(browser, 'Strings of colour');
      await reads(browser, /Strings: \w/, 'li.open');
      await press(browser, 'Another pot of colour');
      await reads(browser, /Strings: .* and /, 'li.open .title');
      await type(browser, 'Load of ink 2', '3');
      await reads(browser, 'when it lies still', 'au-string-flow');
      await reads(browser, 'Colours run into each other', 'au-string-flow');
      await browser.executeScript('document.querySelector("au-string-flow").scrollIntoView({ block: "center" })');
    },
  },
];

/** Waits until every curve is drawn and every picture here. */
async function drawn(browser: Browser): Promise<void> {
  const all = `const blank = (canvas) => !canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data.some((value) => value > 0);
    return [...document.images].every((image) => image.complete) && ![...document.querySelectorAll('au-curve canvas, au-bars canvas')].some(blank);`;
  await browser.wait(() => browser.executeScript<boolean>(all), PATIENCE, 'not every curve is drawn');
}

/** Cups that were made before: three alike, each nearer to its recipe, the last with a photo. */
async function madeBefore(program: Program): Promise<void> {
  await madeAlready(program, 'copper-eaves', { label: 'first try', off: 0.3 });
  await madeAlready(program, 'copper-eaves', { off: 0.15 });
  const last = await madeAlready(program, 'copper-eaves', { label: 'for the lantern fair', off: 0.05, heard: 2200 });
  const reply = await fetch(`${program.address}/api/photos/${randomUUID()}?make=${last.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/png' },
    body: new Uint8Array(await photoOf(makeSchema.parse(last))),
  });
  if (!reply.ok) throw new Error(await reply.text());
}

async function main(): Promise<void> {
  // `tsx e2e/src/shots.ts photo bench` takes those alone.
  const names = process.argv.slice(2);
  const wanted = shots.filter(({ name }) => names.length === 0 || names.includes(name));
  mkdirSync(FOLDER, { recursive: true });
  const program = new Program(true);
  const browser = await openBrowser(true, true);
  try {
    await program.start();
    await resize(browser, 1280, 800);
    const take = async ({ name, path, says, then }: (typeof shots)[number]) => {
      await browser.get(`${program.address}${path}`);
      await reads(browser, says);
      await then?.(browser);
      if (path.startsWith('/designs/')) await reads(browser, 'a cup costs', 'au-cost-chip');
      if (path.startsWith('/designs') || path === '/cups') await painted(browser);
      await picture(browser, join(FOLDER, `${name}.png`));
      process.stdout.write(`docs/screenshots/${name}.png\n`);
    };
    for (const shot of wanted.filter(({ fresh }) => fresh)) await take(shot);
    if (wanted.some(({ fresh }) => !fresh)) await madeBefore(program);
    for (const shot of wanted.filter(({ fresh }) => !fresh)) await take(shot);
  } finally {
    await browser.quit();
    await program.end();
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});

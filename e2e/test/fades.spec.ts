import { choose as chooseIn, kept, painted, press, reads, type, type Browser } from '../src/browser';
import type { Program } from '../src/program';
import { demoForAll } from '../src/running';

let program: Program;
let browser: Browser;
demoForAll((ofAll, view) => {
  program = ofAll;
  browser = view;
});

const open = async (design: string, area: string) => {
  await browser.get(`${program.address}/designs/${design}/colour`);
  await painted(browser);
  await press(browser, new RegExp(`^${area} `), '.chip');
  await press(browser, 'Fade');
  await reads(browser, 'Lay these pots', 'au-fade-pots');
};
const choose = (label: string, option: string) => chooseIn(browser, label, option);

test('a fade is judged before any jar is opened, laid in pots, and undone', async () => {
  await open('copper-eaves', 'Foot');
  await choose('and fades into', 'Candle End');
  await choose('Pots', '4');
  await reads(browser, /This will show\.\s+The ends are \d\d apart and each pot [\d.]+ to [\d.]+ from the next/, 'au-fade-pots');
  await reads(browser, /Make the mix of Foot first; the pots take spoonfuls of it\./, 'au-fade-pots');
  await reads(
    browser,
    /Pot 2: [\d.]+ ml\s+[\d.]+ ml the mix of Foot\s+[\d.]+ ml Candle End\s+strewn [\d.]+–[\d.]+ mm/,
    'au-fade-pots .pots',
  );
  await press(browser, 'Lay these pots');
  await reads(browser, '7 areas, none left over');
  await reads(browser, 'Foot, pot 4', 'au-colour-stage .areas');
  await kept(browser);
  await painted(browser);
  await press(browser, 'Undo');
  await reads(browser, '4 areas, none left over');
});

test('ends that are twins raise the alarm, and pots without room are refused with a way out', async () => {
  await open('apiary-noon', 'Pot 4');
  await choose('and fades into', 'the blend of Pot 3');
  await reads(browser, /This will (not be seen|hardly show)\./, 'au-fade-pots');
  await choose('Pots', '12');
  await type(browser, 'Overlap', '9');
  await reads(browser, 'Take fewer pots, or less overlap.', 'au-fade-pots [role=alert]');
  await type(browser, 'Overlap', '2');
  await reads(browser, 'Pot 12', 'au-fade-pots');
});

test('sections are put in their cleanest order, each meeting told, and put back', async () => {
  await browser.get(`${program.address}/designs/thistle-weave/colour`);
  await painted(browser);
  await press(browser, 'Ring');
  await reads(browser, /(\d+ % cleaner than the order now|As clean as the order now)/, 'au-ring-order');
  const order = () =>
    browser.executeScript<string[]>(
      'return [...document.querySelectorAll("au-ring-order tbody th")].map((cell) => cell.firstChild.textContent.trim())',
    );
  const cleanest = await order();
  expect(cleanest).toHaveLength(6);
  await press(browser, 'Put them in this order');
  await reads(browser, 'The sections stand so already.', 'au-ring-order');
  await choose('First at the seam', 'Bee');
  await reads(browser, /^Bee to/m, 'au-ring-order tbody th');
  const turned = await order();
  expect([...cleanest, ...cleanest].join()).toContain(turned.join());
  await press(browser, 'Undo');
  await reads(browser, /(cleaner than|As clean as) the order now/, 'au-ring-order');
});

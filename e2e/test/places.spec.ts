import { By } from 'selenium-webdriver';
import { PATIENCE, kept, menuItem, named, painted, press, reads, takeJar, type, valueOf } from '../src/browser';
import { browser, ownDesign, program, programForAll, programForEach, visit } from '../src/running';

interface Kept {
  readonly id: string;
  readonly document: { readonly name: string; readonly ratio?: readonly number[] };
}
const get = async <T>(path: string): Promise<T> => (await (await fetch(`${program.address}/api/${path}`)).json()) as T;
const go = (path: string) => browser.get(`${program.address}${path}`);
const value = (name: string) => valueOf(browser, name);

describe('a workshop of one’s own, empty at first', () => {
  programForEach({ demo: false });

  test('every place says what to do, and a jar and a cup make a first design', async () => {
    await go('/shelf');
    await reads(browser, 'The shelf is empty. Put a first jar on it');
    await press(browser, 'Put on the shelf');
    await menuItem(browser, 'A glitter');
    await type(browser, 'Name, as on the jar; kept with the first change', 'Gorse');
    await reads(browser, 'Gorse', 'section li');
    await type(browser, 'Cut', '1');
    await reads(browser, '40 cm²', 'aside');
    await type(browser, 'Left', '25');
    await reads(browser, '25 ml', 'section li');

    await go('/cups');
    await reads(browser, 'No cup is measured yet');
    await press(browser, 'Measure a cup');
    await press(browser, /^Straight /);
    await reads(browser, 'Reading 1 of 2');
    await type(browser, 'The tape reads', '251');
    await press(browser, 'Next');
    await type(browser, 'Height above the foot', '90');
    await press(browser, 'Next');
    await type(browser, 'Name of the cup', 'Enamel mug');
    await type(browser, 'Holds, as sold', '300');
    await reads(browser, 'The readings enclose 451 ml for a cup sold as 300 ml');
    await press(browser, 'Keep this cup');
    await reads(browser, 'Enamel mug', 'section li');

    await go('/designs');
    await reads(browser, 'No design yet');
    await press(browser, 'Plan the first cup');
    await reads(browser, 'Which cup is it?');
    expect(await value('Name of the cup')).toBe('Enamel mug');
    await painted(browser);
    const shelf = (await get<Kept[]>('shelf')).map(({ document }) => document);
    expect(shelf).toMatchObject([{ name: 'Gorse', left: 25, flake: { cut: 1, thickness: 75 } }]);
  });

  test('a workshop without paint, glue or resin still gets an order of work, and no invented amounts', async () => {
    await go('/designs');
    await press(browser, 'Plan the first cup');
    const rail = async (name: string) =>
      (await browser.findElement(By.xpath(`//nav[@aria-label="Stages"]//a[b="${name}"]`))).click();
    await reads(browser, 'Which cup is it?');
    await rail('Areas');
    await press(browser, 'Split in two bands');
    await rail('Coats');
    await press(browser, 'Suggest the coats');
    await reads(browser, 'Rest until cured through');
    await rail('Amounts');
    await reads(browser, 'Amounts come from the coats');
    await rail('Colour');
    await press(browser, 'Add a glitter');
    await reads(browser, 'There is none on the shelf.', 'au-jar-finder');
    await press(browser, 'Leave it');
    await reads(browser, 'things to settle first', '.rail');
    await rail('Coats');
    await reads(browser, 'There is no glue and no resin on your shelf');
  });

  test('typical materials make a two-band cup with resin, glue and base in few presses, and wear their mark', async () => {
    let presses = 0;
    const go1 = async (does: () => Promise<unknown>) => {
      presses += 1;
      await does();
    };
    const rail = (name: string) =>
      go1(async () => (await browser.findElement(By.xpath(`//nav[@aria-label="Stages"]//a[b="${name}"]`))).click());
    await go('/designs');
    await go1(() => press(browser, 'Put typical materials on the shelf'));
    await reads(browser, '60 typical materials on the shelf.');
    await go1(() => press(browser, 'Plan the first cup'));
    await reads(browser, 'Which cup is it?');
    await rail('Areas');
    await go1(() => press(browser, 'Split in two bands'));
    await rail('Colour');
    await go1(() => press(browser, 'Add a glitter'));
    await go1(() => takeJar(browser, 'Teal, medium'));
    await go1(() => press(browser, /^Band 2/, '[role=option]'));
    await go1(() => press(browser, 'Add a glitter'));
    await go1(() => takeJar(browser, 'Gold, medium'));
    await rail('Coats');
    await go1(() => press(browser, 'Suggest the coats'));
    await reads(browser, 'Rest until cured through');
    await reads(browser, 'ready to print', '.rail');
    await rail('Card');
    for (const said of [
      'Base colour: Teal',
      'Base colour: Yellow',
      'Glue: Thin resin wipe',
      'First resin over the glitter',
      'are typical, not measured',
    ])
      await reads(browser, said, '.sheet');
    expect(presses).toBeLessThanOrEqual(40);
  });
});

describe('the demo’s places', () => {
  programForAll();

  test('a jar is corrected on the shelf and every design that uses it follows', async () => {
    await visit('/designs/orchard-frost/colour');
    await reads(browser, /Stays bare\s+53\.2 %/);
    await visit('/shelf?item=first-frost');
    await type(browser, 'Solid in a spoon', '45');
    await reads(browser, '90 cm²', 'aside');
    await visit('/designs/orchard-frost/colour');
    await reads(browser, /Stays bare\s+4\d\.\d %/);
  });

  test('a faulty figure is said beside its field and not kept', async () => {
    await visit('/shelf?item=slow-1-1');
    await type(browser, 'Parts of A', '0');
    await reads(browser, 'A part is above zero.', '.wrong-note');
    const resin = (await get<Kept[]>('shelf')).find(({ id }) => id === 'slow-1-1');
    expect(resin?.document.ratio).toEqual([1, 1]);
  });

  test('a jar taken off the shelf comes back with one press', async () => {
    await visit('/shelf?item=kiln-ash');
    const before = (await get<unknown[]>('shelf')).length;
    await press(browser, 'Take off the shelf');
    await reads(browser, 'Kiln Ash is off the shelf.');
    expect(await get<unknown[]>('shelf')).toHaveLength(before - 1);
    await press(browser, 'Undo');
    await reads(browser, 'Kiln Ash', 'section li');
    expect(await get<unknown[]>('shelf')).toHaveLength(before);
  });

  test('a cup changed here leaves the designs on it as they were', async () => {
    await visit('/cups');
    await reads(browser, 'Measuring sheet');
    await type(browser, 'Circumference at the rim', '300');
    await reads(browser, '545', 'section li');
    await visit('/designs/copper-eaves/cup');
    await kept(browser);
    expect(await value('Circumference at the rim')).toBe('292');
  });

  test('a cup measured in a design is kept for others', async () => {
    await visit(`/designs/${await ownDesign('peat-fire')}/cup`);
    await type(browser, 'Name of the cup', 'Conical, remeasured');
    await type(browser, 'Circumference at the rim', '274');
    await press(browser, 'Keep this cup for other designs');
    await reads(browser, 'Conical, remeasured is with the cups now.');
    expect((await get<Kept[]>('cups')).map(({ document }) => document.name)).toContain('Conical, remeasured');
  });

  test('a copy of a design goes its own way', async () => {
    await ownDesign('peat-fire', 'Turf Fire');
    await visit('/designs');
    await press(browser, 'More for Turf Fire');
    await menuItem(browser, 'Copy');
    await reads(browser, 'Which cup is it?');
    expect(await value('Name of the design')).toBe('Turf Fire, copy');
    await type(browser, 'Name of the design', 'Bog Fire');
    await kept(browser);
    const names = (await get<{ designs: { name: string }[] }>('designs')).designs.map((one) => one.name);
    expect(names).toEqual(expect.arrayContaining(['Turf Fire', 'Bog Fire']));
  });

  test('spoons: the coarser spoon steps the amounts by itself', async () => {
    await visit('/designs/copper-eaves/colour');
    await press(browser, /this workshop/);
    await type(browser, 'Smallest spoon', '0');
    await reads(browser, 'The finest step is 0.1 ml.', '.wrong-note');
    await type(browser, 'Smallest spoon', '2.5');
    await press(browser, 'Done');
    const more = await named(browser, 'button', 'More Quarry Moss');
    await more.click();
    await browser.wait(async () => (await value('Quarry Moss, ml')) === '5.0', PATIENCE, 'the step isn’t the spoon');
  });
});

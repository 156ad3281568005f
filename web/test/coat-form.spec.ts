import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import {
  coatKinds,
  itemsOfCoat,
  startingCoat,
  startingItem,
  type Coat,
  type CoatId,
  type CoatKindName,
  type ShelfItem,
} from '@aurantia/core';
import { CoatForm } from '../src/app/design/coats-stage/coat-form';
import { JarFinding } from '../src/app/parts/jar-finder/jar-finding';
import { WorkshopMemory } from '../src/app/services/workshop';
import { design, labelled, memoryStub, shelf, typeInto } from './workshop';

const choose = jest.fn();

async function form(coat: Coat, more: readonly ShelfItem[] = []) {
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(),
      { provide: WorkshopMemory, useValue: memoryStub([...shelf, ...more]) },
      { provide: JarFinding, useValue: { choose } },
    ],
  });
  const fixture = TestBed.createComponent(CoatForm);
  const given: Coat[] = [];
  fixture.componentInstance.coatChange.subscribe((one) => given.push(one));
  fixture.componentRef.setInput('coat', coat);
  fixture.componentRef.setInput('design', design);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const press = async (text: string) => {
    [...root.querySelectorAll('button')].find((button) => button.textContent?.trim() === text)?.click();
    await fixture.whenStable();
  };
  return { fixture, root, given, press };
}
const [base, , resin] = design.coats;

test('a film typed is a coat given; one that is none is refused in a sentence', async () => {
  const { fixture, root, given } = await form(resin);
  typeInto(labelled(root, 'Film'), '0,35');
  expect(given).toEqual([{ ...resin, thickness: 0.35 }]);
  typeInto(labelled(root, 'Film'), '7');
  await fixture.whenStable();
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/over 3 mm is no coat/);
  expect(given).toHaveLength(1);
});

test('where it ends: at two heights, told what is wrong beside the one that is, and back to everywhere', async () => {
  const { fixture, root, given } = await form(resin);
  const tick = root.querySelector<HTMLInputElement>('.heights input[type=checkbox]');
  tick?.click();
  await fixture.whenStable();
  const [first] = given;
  const bounded = 'between' in first ? first.between : undefined;
  expect((bounded?.to ?? 0) - (bounded?.from ?? 0)).toBeGreaterThan(10);
  fixture.componentRef.setInput('coat', first);
  await fixture.whenStable();
  typeInto(labelled(root, 'To, above the foot'), '1');
  await fixture.whenStable();
  expect(root.querySelector('.heights [role=alert]')?.textContent).toMatch(/at least 1 mm above the lower/);
  typeInto(labelled(root, 'To, above the foot'), '150');
  typeInto(labelled(root, 'From, above the foot'), '20,5');
  expect(given.slice(1)).toEqual([
    { ...first, between: { from: bounded?.from, to: 150 } },
    { ...first, between: { from: 20.5, to: bounded?.to } },
  ]);
  tick?.click();
  expect(given.at(-1)).not.toHaveProperty('between.from');
});

test('where it goes: one area, both, and back to the whole cup when none is left', async () => {
  const { given, press } = await form(resin);
  await press('High');
  await press('Low');
  await press('The whole cup');
  expect(given.map((coat) => ('on' in coat ? coat.on : null))).toEqual([['low', 'high'], 'all', 'all']);
});

test('a coat on everything, narrowed, starts from the area that was pressed', async () => {
  const { given, press } = await form(base);
  await press('High');
  expect(given[0]).toMatchObject({ on: ['high'] });
});

test('jars are chosen from the shelf; one that is gone asks to choose', async () => {
  const { root, given, press } = await form({ ...base, paint: 'gone' } as Coat);
  expect(root.querySelector('au-jar')?.textContent).toMatch(/Paint\s*choose one/);
  choose.mockResolvedValueOnce(null);
  await press('choose one');
  expect(given).toEqual([]);
  choose.mockResolvedValueOnce(
    memoryStub()
      .shelf()
      .find(({ id }) => id === 'paint'),
  );
  await press('choose one');
  expect(choose).toHaveBeenLastCalledWith({ kind: 'paint', near: null, nearWhat: '' });
  expect(given[0]).toMatchObject({ paint: 'paint' });
});

test('the number of coats is whole', async () => {
  const { fixture, root, given } = await form(base);
  typeInto(labelled(root, 'How many coats'), '1.5');
  await fixture.whenStable();
  expect(given).toEqual([]);
  expect(root.querySelector('[role=alert]')).not.toBeNull();
});

describe('every kind of coat', () => {
  const film: ShelfItem = startingItem('film', 'film');
  const begun = (kind: CoatKindName): Coat => startingCoat(kind, design, { shelf: [...shelf, film, pearl] }, kind as CoatId);
  const pearl = { ...startingItem('ink', 'pearl'), type: 'pearl' } as ShelfItem;
  const kinds = Object.keys(coatKinds) as CoatKindName[];
  // A seed is no figure to type: another hand lays it at a press.
  // Further inks have a figure each.
  const figures = (coat: Coat) => [
    ...Object.entries(coat).flatMap(([field, now]) => (typeof now === 'number' && field !== 'seed' ? [field] : [])),
    ...('also' in coat ? (coat.also ?? []) : []),
  ];

  test.each(kinds)('%s: each of its figures is a field, and so is each thing of the shelf it is made with', async (kind) => {
    const coat = begun(kind);
    const { root } = await form(coat);
    expect(root.querySelectorAll('au-number')).toHaveLength(figures(coat).length);
    expect(root.querySelectorAll('au-jar')).toHaveLength(itemsOfCoat(coat).length);
    expect(labelled(root, 'Note for whoever does it')).not.toBeNull();
    expect(root.querySelector('au-chips') !== null).toBe('on' in coat);
  });
  test('how paint goes on is a press', async () => {
    const { root, given, fixture } = await form(begun('base'));
    [...root.querySelectorAll<HTMLElement>('[role=option]')]
      .find(({ textContent }) => textContent?.trim() === 'brushed')
      ?.click();
    await fixture.whenStable();
    expect(given).toEqual([{ ...begun('base'), way: 'brushed' }]);
  });
  test.each([
    ['strip', 'Width', '0', 'At least 1 mm.'],
    ['strip', 'Cut to', '4000', 'A strip over 3 m goes round no cup.'],
    ['sprinkle', 'Flakes a cm²', '-3', 'At least 0.1 flakes a cm².'],
    ['sprinkle', 'Flakes a cm²', '9999', 'Over 2000 flakes a cm² is a pour: give the area a mix.'],
    ['paste', 'Covers', '100', 'At most 99 %: something always shows between.'],
    ['tag', 'Stands up', '40', 'At most 10 mm.'],
    ['rest', 'Rest', '8760', 'At most 1000 hours.'],
  ] as const)('%s: %s of %s is refused, %s', async (kind, label, typed, sentence) => {
    const { fixture, root, given } = await form(begun(kind));
    typeInto(labelled(root, label), typed);
    await fixture.whenStable();
    expect(given).toEqual([]);
    expect(root.querySelector('[role=alert]')?.textContent).toContain(sentence);
  });
});

describe('a decal', () => {
  const decal = startingCoat('decal', design, { shelf: [...shelf] }, 'decal' as CoatId);
  test('of no film yet is asked for one, and takes it', async () => {
    const film = startingItem('film', 'film');
    choose.mockResolvedValueOnce(film);
    const { given, press } = await form({ ...decal, film: null });
    await press('choose one');
    expect(choose).toHaveBeenLastCalledWith(expect.objectContaining({ kind: 'film' }));
    expect(given).toMatchObject([{ film: 'film' }]);
  });
  test('can be mirrored only where there are several', async () => {
    const mirrors = ({ root }: Awaited<ReturnType<typeof form>>) => root.textContent?.includes('cut the other way round');
    expect(mirrors(await form(decal))).toBe(false);
    TestBed.resetTestingModule();
    expect(mirrors(await form({ ...decal, times: 3 }))).toBe(true);
  });
});

test('a second ink goes into the pot with little, is set, and leaves nothing behind when it is taken out', async () => {
  const second = { ...startingItem('ink', 'second' as ShelfItem['id']), name: 'Second' };
  const tint = coatKinds.ink.start({ shelf, height: 150, stations: design.cup.stations, front: 180 });
  const coat = { ...tint, id: 'tint' as CoatId };
  const { fixture, root, given, press } = await form(coat, [second]);
  await press('Another ink in the pot');
  const [added] = given;
  expect(added).toEqual({ ...coat, also: [{ ink: 'second', load: 0.5 }] });
  fixture.componentRef.setInput('coat', added);
  await fixture.whenStable();
  typeInto(labelled(root, 'Load of ink 2'), '2');
  expect(given[1]).toMatchObject({ also: [{ load: 2 }] });
  await press('Take out');
  expect(given[2]).not.toHaveProperty('also.0');
});

import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { planOf, type FoundMix, type ShelfAnswer } from '@aurantia/core';
import { CompareBlends } from '../src/app/design/colour-stage/compare-blends/compare-blends';
import { FindMix } from '../src/app/design/colour-stage/find-mix/find-mix';
import { ScaleBlend } from '../src/app/design/colour-stage/scale-blend/scale-blend';
import { Mixes } from '../src/app/services/mixes';
import { Palettes } from '../src/app/services/palettes';
import { WorkshopMemory } from '../src/app/services/workshop';
import { choose, design, labelled, memoryStub, mixesStub, typeInto } from './workshop';

const palette = { id: 'dusk', name: 'Dusk', colours: [{ name: 'Ember', colour: '#b5461c', mix: null }] };
const { blends } = planOf(design, memoryStub().workshop());
const mix = (size: number, difference: number): FoundMix => ({
  size,
  difference,
  parts: Array.from({ length: size }, (_, i) => ({
    item: `jar-${i}` as FoundMix['parts'][number]['item'],
    name: `Jar ${i}`,
    colour: '#aa5500',
    ml: 2 + i,
    gramsPerMl: 0.4,
  })),
  colour: '#bb6600',
  words: { word: 'slight difference', says: 'a difference side by side, none apart' },
  bound: difference,
  proven: true,
  coverCost: 0.6,
});
const answer = (mixes: readonly FoundMix[], over: boolean): ShelfAnswer => ({ mixes, over, evaluated: 12, progress: 1 });

/** What was asked of the worker, and the way to answer it. */
let asked: ReturnType<typeof mixesStub>['asked'];
beforeEach(() => {
  const mixes = mixesStub();
  asked = mixes.asked;
  TestBed.configureTestingModule({
    providers: [
      { provide: Mixes, useValue: mixes },
      { provide: Palettes, useValue: { all: signal([palette]), loaded: signal(true), load: () => undefined } },
      { provide: WorkshopMemory, useValue: memoryStub() },
    ],
  });
});

describe('find a mix', () => {
  async function pane(wanted: string | null = null) {
    const fixture = TestBed.createComponent(FindMix);
    const used: FoundMix[] = [];
    fixture.componentInstance.used.subscribe((one) => used.push(one));
    fixture.componentRef.setInput('blend', blends[0]);
    fixture.componentRef.setInput('others', blends.slice(1));
    fixture.componentRef.setInput('under', '#2e3436');
    fixture.componentRef.setInput('wanted', wanted);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const asks = async (times: number) => {
      while (asked.length < times) await new Promise((resolve) => setTimeout(resolve, 20));
      await fixture.whenStable();
    };
    return { fixture, root, used, asks };
  }
  const button = (root: HTMLElement, text: string) =>
    [...root.querySelectorAll('button')].find((one) => one.textContent?.trim() === text);

  test('a colour that is none is searched for by nobody, and the pane says so', async () => {
    const { root, fixture, asks } = await pane();
    await asks(1);
    typeInto(labelled(root, 'as #'), 'brick');
    await fixture.whenStable();
    expect(root.textContent).not.toContain('Searching');
    expect(root.textContent).toContain('Mend what is marked above');
    typeInto(labelled(root, 'as #'), '#336699');
    await asks(2);
    expect(root.textContent).toContain('Searching');
  });
  test('asks for the blend’s own amount, depth and base, and for a colour once typing rests', async () => {
    const { root, asks } = await pane();
    await asks(1);
    expect(asked[0].wish).toMatchObject({ size: 3, total: blends[0].ml, under: '#2e3436', onlyLeft: true });
    expect(asked[0].wish.depth).toBeCloseTo(blends[0].kept || 3, 9);
    // One right after the other, however slow the machine: the first is asked for by nobody.
    typeInto(labelled(root, 'as #'), '#112233');
    typeInto(labelled(root, 'as #'), '#336699');
    await asks(2);
    expect(asked.map(({ wish }) => wish.target)).toEqual([asked[0].wish.target, '#336699']);
  });
  test('a blend that lost a jar starts from the colour it had', async () => {
    const { asks } = await pane('#123456');
    await asks(1);
    expect(asked[0].wish.target).toBe('#123456');
  });
  test('asks for a colour of a palette', async () => {
    const { fixture, asks } = await pane();
    await choose(fixture, 'Of a palette', /.+: .+/);
    await asks(1);
    expect(asked[0].wish.target).toBe('#b5461c');
  });
  test('asks for a cheaper mix only while the difference is one, and shows the cheapest first with what it costs', async () => {
    const { fixture, root, asks } = await pane();
    await choose(fixture, 'Look for', 'a cheaper mix');
    await fixture.whenStable();
    typeInto(labelled(root, 'At most apart'), '3');
    await asks(1);
    expect(asked[0].wish.cheapest).toEqual({ within: 3, below: null });
    asked[0].answers.next(answer([mix(1, 2), mix(2, 2.5)], true));
    await fixture.whenStable();
    const cards = [...root.querySelectorAll('au-mix-card')].map((card) => card.textContent ?? '');
    expect(cards[0]).toMatch(
      /2 jars: slight difference[\s\S]*Costs 0\.60 for 100 cm², one flake deep\. Nothing so near costs less\./,
    );
    typeInto(labelled(root, 'At most apart'), '0');
    await fixture.whenStable();
    expect(root.querySelector('[role=alert]')?.textContent).toBe('Between 0 and 10.');
    expect(asked).toHaveLength(1);
  });
  test('shows the nearest first, whatever its size, and hands the used one on', async () => {
    const { fixture, root, used, asks } = await pane();
    await asks(1);
    asked[0].answers.next(answer([mix(1, 6), mix(2, 1.5), mix(3, 2)], true));
    await fixture.whenStable();
    expect([...root.querySelectorAll('au-mix-card .what > b')].map((one) => one.textContent)).toEqual([
      '2 jars: slight difference',
      '3 jars: slight difference',
      '1 jar: slight difference',
    ]);
    button(root, 'Use it')?.click();
    expect(used.map(({ size }) => size)).toEqual([2]);
  });
  test('stopped, it keeps the best so far and the search ends', async () => {
    const { fixture, root, asks } = await pane();
    await asks(1);
    asked[0].answers.next(answer([mix(1, 6)], false));
    await fixture.whenStable();
    expect(root.querySelector('.state')?.textContent).toMatch(/Searching 1 jar, 1 at a time/);
    button(root, 'Stop')?.click();
    await fixture.whenStable();
    expect(asked[0].stopped).toBe(true);
    expect(root.querySelector('.state')?.textContent).toMatch(/the best so far/);
    expect(root.querySelectorAll('au-mix-card')).toHaveLength(1);
  });
  test('another wish ends the search before it; a refused one is a sentence', async () => {
    const { fixture, root, asks } = await pane();
    await asks(1);
    typeInto(labelled(root, 'as #'), '#00ff00');
    await asks(2);
    expect(asked.map(({ stopped }) => stopped)).toEqual([true, false]);
    asked[1].answers.error(new Error('There is no glitter to mix from.'));
    await fixture.whenStable();
    expect(root.querySelector('[role=alert]')?.textContent).toBe('There is no glitter to mix from.');
  });
});

test('blends to compare are chosen and left out', async () => {
  const fixture = TestBed.createComponent(CompareBlends);
  fixture.componentRef.setInput('blends', blends);
  fixture.componentRef.setInput('here', blends[0].area);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  expect(root.querySelectorAll('figure')).toHaveLength(blends.length);
  root.querySelector('button')?.click();
  await fixture.whenStable();
  expect(root.querySelectorAll('figure')).toHaveLength(blends.length - 1);
});

test('bringing a blend to an amount says what it becomes, and emits the rounded parts', async () => {
  const fixture = TestBed.createComponent(ScaleBlend);
  const brought: object[] = [];
  fixture.componentInstance.brought.subscribe((parts) => brought.push(parts));
  fixture.componentRef.setInput('blend', blends[0]);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  await choose(fixture, 'Bring it to', 'an amount');
  await fixture.whenStable();
  typeInto(labelled(root, 'Each pour'), '13');
  await fixture.whenStable();
  expect(root.querySelector('[role=status]')?.textContent).toMatch(/becomes 13\.0 ml each pour/);
  root.querySelector('button')?.click();
  expect(brought).toEqual([[{ item: blends[0].parts[0].item, ml: 13 }]]);
});

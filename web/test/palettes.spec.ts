import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { FoundMix, ShelfAnswer } from '@aurantia/core';
import type { Palette, PaletteId } from '@aurantia/core/palette';
import { of, Subject } from 'rxjs';
import { PaletteForm } from '../src/app/places/palettes/palette-form';
import { PaletteMixes } from '../src/app/places/palettes/palette-mixes';
import { PhotoPalette } from '../src/app/places/palettes/photo-palette';
import { Api } from '../src/app/services/api';
import { Mixes } from '../src/app/services/mixes';
import { Notices } from '../src/app/services/notices';
import { Palettes } from '../src/app/services/palettes';
import { PhotoColours } from '../src/app/services/photo-colours';
import { WorkshopMemory } from '../src/app/services/workshop';
import { labelled, memoryStub, mixesStub, typeInto } from './workshop';

const jar = 'jar' as NonNullable<Palette['colours'][number]['mix']>['parts'][number]['item'];
const mix = { parts: [{ item: jar, name: 'Rust Road', ml: 3 }], colour: '#b0502a', difference: 1.2 };
const palette: Palette = {
  id: 'dusk' as PaletteId,
  name: 'Dusk',
  colours: [
    { name: 'Ember', colour: '#b5461c', mix },
    { name: 'Soot', colour: '#2e2b2c', mix: null },
  ],
};

let kept: Palette[];
let asked: ReturnType<typeof mixesStub>['asked'];
const sorting = new Subject<{ colour: string; share: number }[]>();
const api = { get: jest.fn(), put: jest.fn(), post: jest.fn(), remove: jest.fn() };
const notices = { failed: jest.fn(), undoable: jest.fn() };
beforeEach(() => {
  kept = [];
  const mixes = mixesStub();
  asked = mixes.asked;
  TestBed.configureTestingModule({
    providers: [
      { provide: Mixes, useValue: mixes },
      { provide: WorkshopMemory, useValue: memoryStub() },
      { provide: PhotoColours, useValue: { of: () => sorting } },
      { provide: Notices, useValue: notices },
      { provide: Api, useValue: api },
    ],
  });
});
const buttonOf = (root: HTMLElement, text: string | RegExp) =>
  [...root.querySelectorAll('button')].find((one) =>
    new RegExp(text).test(one.getAttribute('aria-label') ?? one.textContent ?? ''),
  );

describe('a palette', () => {
  async function form() {
    const shown = signal(palette);
    TestBed.overrideProvider(Palettes, {
      useValue: {
        put: (one: Palette) => {
          kept.push(one);
          shown.set(one);
          return of(one);
        },
      },
    });
    const fixture = TestBed.createComponent(PaletteForm);
    fixture.componentRef.setInput('palette', palette);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const settle = async () => {
      fixture.componentRef.setInput('palette', shown());
      await fixture.whenStable();
    };
    return { root, settle };
  }
  test('reads each colour with its mix and how far that is from it', async () => {
    const { root } = await form();
    const rows = [...root.querySelectorAll('ol > li')].map((row) =>
      row.querySelector('.what p')?.textContent?.replace(/\s+/g, ' ').trim(),
    );
    expect(rows).toEqual(['3 ml Rust Road no visible difference, 1.2 apart', 'no mix yet']);
  });
  test('keeps a sound change at once, and a faulty one gets its sentence', async () => {
    const { root, settle } = await form();
    typeInto(root.querySelector('ol input'), 'Glow');
    await settle();
    expect(kept.at(-1)?.colours[0]).toMatchObject({ name: 'Glow', mix });
    typeInto(root.querySelector('ol input'), '');
    await settle();
    expect(kept).toHaveLength(1);
  });
  test('a colour that changes loses the mix that was found for it', async () => {
    const { root, settle } = await form();
    typeInto(root.querySelector('ol input:not([type=color])[value="#b5461c"]') ?? labelled(root, 'as #'), '#aa3300');
    await settle();
    expect(kept.at(-1)?.colours[0]).toEqual({ name: 'Ember', colour: '#aa3300', mix: null });
  });
  test('takes a colour more and one out', async () => {
    const { root, settle } = await form();
    buttonOf(root, /Another colour/)?.click();
    await settle();
    expect(kept.at(-1)?.colours.map(({ name }) => name)).toEqual(['Ember', 'Soot', 'Colour 3']);
    buttonOf(root, /^Take Ember out$/)?.click();
    await settle();
    expect(kept.at(-1)?.colours.map(({ name }) => name)).toEqual(['Soot', 'Colour 3']);
  });
});

describe('a mix for each colour', () => {
  const found = (difference: number): FoundMix => ({
    size: 1,
    parts: [{ item: jar, name: 'Rust Road', colour: '#e8641b', ml: 12.5, gramsPerMl: 0.4 }],
    colour: '#b0502a',
    difference,
    words: { word: 'no visible difference', says: 'no eye parts them' },
    bound: 0,
    proven: true,
    coverCost: null,
  });
  const answer = (mixes: FoundMix[]): ShelfAnswer => ({ mixes, evaluated: 1, progress: 1, over: true });
  async function mixes() {
    const fixture = TestBed.createComponent(PaletteMixes);
    const out: Palette['colours'][] = [];
    fixture.componentInstance.mixed.subscribe((colours) => out.push(colours));
    fixture.componentRef.setInput('palette', palette);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    return { fixture, root, out };
  }
  test('is looked for one after the other, over a base of its own colour, and the nearest is taken', async () => {
    const { root, out } = await mixes();
    buttonOf(root, /Find a mix for each/)?.click();
    expect(asked.map(({ wish }) => [wish.target, wish.under])).toEqual([['#b5461c', '#b5461c']]);
    asked[0].answers.next(answer([found(4), found(1.5)]));
    asked[0].answers.complete();
    expect(asked).toHaveLength(2);
    asked[1].answers.next(answer([]));
    asked[1].answers.complete();
    expect(out).toHaveLength(1);
    expect(out[0].map((one) => one.mix?.difference ?? null)).toEqual([1.5, null]);
  });
  test('is no longer looked for once stopped, or once another palette is shown', async () => {
    const { fixture, root, out } = await mixes();
    buttonOf(root, /Find a mix for each/)?.click();
    await fixture.whenStable();
    buttonOf(root, /Stop/)?.click();
    expect(asked[0].stopped).toBe(true);
    await fixture.whenStable();
    buttonOf(root, /Find a mix for each/)?.click();
    fixture.componentRef.setInput('palette', { ...palette, id: 'dawn' as PaletteId });
    await fixture.whenStable();
    expect(asked[1].stopped).toBe(true);
    expect(out).toEqual([]);
  });
});

test('the colours of a photo are kept by name, one picked by hand among them', async () => {
  const fixture = TestBed.createComponent(PhotoPalette);
  const out: Palette['colours'][] = [];
  fixture.componentInstance.found.subscribe((colours) => out.push(colours));
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  expect(buttonOf(root, /Keep as a palette/)?.disabled).toBe(true);
  const photo = fixture.debugElement.query((one) => one.name === 'au-photo-colour');
  photo.triggerEventHandler('shown', { pixels: new Uint8ClampedArray(4), patch: null });
  photo.triggerEventHandler('picked', '#112233');
  await fixture.whenStable();
  sorting.next([{ colour: '#b5461c', share: 0.7 }]);
  await fixture.whenStable();
  buttonOf(root, /Keep as a palette/)?.click();
  expect(out).toEqual([
    [
      { name: 'Colour 1', colour: '#b5461c', mix: null },
      { name: 'Colour 2', colour: '#112233', mix: null },
    ],
  ]);
});

test('the workshop’s palettes are loaded, changed in place and a removal can be undone', () => {
  api.get.mockReturnValue(of([{ id: palette.id, document: palette, revision: 1 }]));
  api.put.mockImplementation((_: string, { parent, document }: { parent: number | null; document: Palette }) =>
    of({ document, revision: (parent ?? 0) + 1 }),
  );
  api.post.mockReturnValue(of({ document: palette, revision: 2 }));
  api.remove.mockReturnValue(of(null));
  const palettes = TestBed.inject(Palettes);
  palettes.load();
  palettes.put({ ...palette, name: 'Late dusk' }).subscribe();
  palettes.put({ ...palette, id: 'dawn' as PaletteId }).subscribe();
  expect(palettes.all().map(({ name }) => name)).toEqual(['Late dusk', 'Dusk']);
  palettes.remove(palettes.all()[0]);
  expect(palettes.all().map(({ id }) => id)).toEqual(['dawn']);
  const [, undo] = notices.undoable.mock.calls[0] as [string, () => void];
  undo();
  expect(palettes.all()).toHaveLength(2);
});

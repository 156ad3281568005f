import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA } from '@angular/material/dialog';
import { defaultSettings } from '@aurantia/core';
import { startingHandles, type PicturePoint } from '@aurantia/core/cup-photo';
import { makeOf, type MakeId, type MakePhoto } from '@aurantia/core/make';
import { of, Subject, throwError } from 'rxjs';
import { PhotoBeside } from '../src/app/places/bench/photo-beside';
import { MakePhotosMemory } from '../src/app/services/make-photos';
import type { PhotoEdges } from '../src/app/workers/photo-edges-request';
import { design, memoryStub, shelf } from './workshop';
import { WorkshopMemory } from '../src/app/services/workshop';

const AT = '2026-11-30T08:00:00.000Z';
const make = makeOf(
  { id: 'm' as MakeId, cups: 1, label: '' },
  { design, revision: 1, workshop: { settings: defaultSettings, shelf: [...shelf] }, number: 1, at: AT },
);
const photo: MakePhoto = { id: 'p', make: make.id, number: 1, at: AT, coat: null, width: 300, height: 400, reading: null };
const { handles, card } = startingHandles(design.cup.stations, photo);
/** All that was found lies ten pixels farther right. */
const aside = ([x, y]: PicturePoint): PicturePoint => [x + 10, y];
const found: PhotoEdges = {
  handles: {
    rimLeft: aside(handles.rimLeft),
    rimRight: aside(handles.rimRight),
    footLeft: aside(handles.footLeft),
    footRight: aside(handles.footRight),
  },
  card: aside(card),
  second: null,
  says: 'Found.',
};

// A picture in this page without a screen: its pixels are nobody's business here.
class Canvas {
  constructor(
    private readonly width: number,
    private readonly height: number,
  ) {}
  getContext() {
    const data = new Uint8ClampedArray(4 * this.width * this.height);
    return { drawImage: () => undefined, getImageData: () => ({ data }) };
  }
}
Object.assign(globalThis, { OffscreenCanvas: Canvas });

async function dialog({ reading = null as MakePhoto['reading'], find = jest.fn(() => of(found)), says = '' } = {}) {
  const read = jest.fn(() => of({ places: [], unseen: [], cardsAgree: false, says }));
  const keepReading = jest.fn(() => of({ photos: [], others: [] }));
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: MAT_DIALOG_DATA, useValue: { make, photo: { ...photo, reading }, last: make.steps[0].coat, others: [] } },
      { provide: MakePhotosMemory, useValue: { find, read, keepReading, address: () => '' } },
      { provide: WorkshopMemory, useValue: memoryStub(shelf) },
    ],
  });
  const fixture = TestBed.createComponent(PhotoBeside);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const image = root.querySelector('img') as HTMLImageElement;
  Object.defineProperty(image, 'naturalWidth', { value: 300 });
  const then = async (does: () => void) => {
    does();
    await fixture.whenStable();
  };
  return {
    ...{ find, read, keepReading },
    shown: () => then(() => image.dispatchEvent(new Event('load'))),
    press: (name: string) =>
      then(() => [...root.querySelectorAll('button')].find(({ textContent }) => textContent?.trim() === name)?.click()),
    nudge: () =>
      then(() =>
        root
          .querySelector('[aria-label="Rim, outermost left"]')
          ?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' })),
      ),
    /** how far across the picture a handle stands, pixels */
    across: (name: string) => Number(root.querySelector(`[aria-label="${name}"]`)?.getAttribute('aria-valuenow')),
    says: () => root.querySelector('[role=status]')?.textContent?.trim(),
    text: () => root.textContent ?? '',
  };
}

test('a photo that wasn’t read is looked through when it is here: the handles stand where the cup and the card were found', async () => {
  const { shown, across, says, find } = await dialog();
  expect(across('Rim, outermost left')).toBe(Math.round(handles.rimLeft[0]));
  await shown();
  expect(find).toHaveBeenCalledTimes(1);
  expect(across('Rim, outermost left')).toBe(Math.round(handles.rimLeft[0] + 10));
  expect(across('White or grey card')).toBe(Math.round(card[0] + 10));
  expect(says()).toBe('Found.');
});

test('a photo that was read before is left as it was read, until somebody asks', async () => {
  const reading = {
    handles: { ...handles },
    card: { at: [20, 30], is: '#f0f0ee' },
    faces: 180,
    places: [],
  } as unknown as MakePhoto['reading'];
  const { shown, across, find, press } = await dialog({ reading });
  await shown();
  expect([find.mock.calls.length, across('White or grey card')]).toEqual([0, 20]);
  await press('Find them in the photo');
  expect([find.mock.calls.length, across('White or grey card')]).toEqual([1, Math.round(card[0] + 10)]);
});

test('whoever draws a handle, or reads, ends the search: what is found late moves nothing', async () => {
  for (const meanwhile of ['nudge', 'read'] as const) {
    const late = new Subject<PhotoEdges>();
    const { shown, across, says, nudge, press } = await dialog({ find: jest.fn(() => late) });
    await shown();
    expect(says()).toMatch(/^Looking for/);
    await (meanwhile === 'nudge' ? nudge() : press('Read its colours'));
    expect(late.observed).toBe(false);
    late.next(found);
    expect(across('Rim, outermost left')).toBe(Math.round(handles.rimLeft[0] + (meanwhile === 'nudge' ? 1 : 0)));
    expect(says()).toMatch(/^Draw the four round handles/);
  }
});

test('where it can’t be looked through, it is said what to do', async () => {
  const { shown, says } = await dialog({ find: jest.fn(() => throwError(() => new Error('no worker'))) });
  await shown();
  expect(says()).toMatch(/by hand\.$/);
});

test('a second card is read and kept beside the first, and cards that don’t agree are told', async () => {
  const { press, read, keepReading, across, text } = await dialog();
  await press('Another card is in the photo');
  expect(across('Second card')).toBe(Math.round(300 - card[0]));
  await press('Read its colours');
  expect(read).toHaveBeenCalledWith(
    expect.objectContaining({
      cards: [
        { at: card, is: '#f0f0ee' },
        { at: [300 - card[0], card[1]], is: '#777777' },
      ],
    }),
  );
  expect(keepReading).toHaveBeenCalledWith(
    'p',
    expect.objectContaining({ second: { at: [300 - card[0], card[1]], is: '#777777' } }),
  );
  expect(text()).toContain('The two cards don’t agree');
  // What was read with it isn't the answer without it.
  await press('Without the second card');
  expect(text()).not.toContain('The two cards don’t agree');
  expect(text()).not.toContain('apart by');
  await press('Read its colours');
  expect(keepReading).toHaveBeenLastCalledWith('p', expect.not.objectContaining({ second: expect.anything() as unknown }));
});

test('a photo of an unfinished cup is read by the coat that was on then, and with what it is compared is said', async () => {
  const says = 'When it was taken “Wipe” was on.';
  const { press, read, text } = await dialog({ says });
  await press('Read its colours');
  expect(read).toHaveBeenCalledWith(expect.objectContaining({ last: make.steps[0].coat }));
  expect(text()).toContain(says);
});

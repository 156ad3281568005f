import { ChangeDetectionStrategy, Component, computed, DestroyRef, ElementRef, inject, signal, viewChild } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { differenceWords, frontAngle, type CoatId } from '@aurantia/core';
import { outlineLine, startingHandles, type CupHandles, type Picture, type PicturePoint } from '@aurantia/core/cup-photo';
import type { Make, MakePhoto } from '@aurantia/core/make';
import type { Subscription } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { Choice } from '../../parts/fields/choice';
import { Slider } from '../../parts/fields/slider';
import { MakePhotosMemory } from '../../services/make-photos';
import { Notices } from '../../services/notices';
import type { CupAnswer, CupPhotoRequest } from '../../workers/cup-photo-request';
import { PhotoPoint } from './photo-point';

export interface BesideAsked {
  readonly make: Make;
  readonly photo: MakePhoto;
  /** the last coat that was on when it was taken; null of a bare cup */
  readonly last: CoatId | null;
  /** photos of other makes of the design that were read */
  readonly others: readonly MakePhoto[];
}

/** What a card beside the cup is: white ones reflect some nine tenths, photographers' grey ones 18 %. */
const CARDS = [
  { value: '#f0f0ee', name: 'white' },
  { value: '#777777', name: 'grey, 18 %' },
] as const;

type Point = keyof CupHandles | 'card' | 'second';
const onCup: readonly { readonly key: Point; readonly name: string }[] = [
  { key: 'rimLeft', name: 'Rim, outermost left' },
  { key: 'rimRight', name: 'Rim, outermost right' },
  { key: 'footLeft', name: 'Foot, outermost left' },
  { key: 'footRight', name: 'Foot, outermost right' },
];
const card = { key: 'card', name: 'White or grey card' } as const;
const secondCard = { key: 'second', name: 'Second card' } as const;

/** A photo of the cup beside its plan: handles onto its outline and the card, then each place's colour, as it should be and as it is. */
@Component({
  selector: 'au-photo-beside',
  imports: [BUTTONS, Choice, MatDialogModule, PhotoPoint, Slider],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-beside.html',
  styleUrl: './photo-beside.scss',
})
export class PhotoBeside {
  private readonly photos = inject(MakePhotosMemory);
  private readonly notices = inject(Notices);
  protected readonly asked = inject<BesideAsked>(MAT_DIALOG_DATA);
  protected readonly cards = CARDS;
  protected readonly points = computed(() => [...onCup, card, ...(this.second() === null ? [] : [secondCard])]);
  private readonly image = viewChild.required<ElementRef<HTMLImageElement>>('image');
  protected readonly address = this.photos.address(this.asked.photo.id, 'large');

  /** pixels of the photo */
  protected readonly at = signal<Readonly<Record<Point, PicturePoint>>>(this.start());
  /** what the second card is; null without one */
  protected readonly second = signal<string | null>(this.asked.photo.reading?.second?.is ?? null);
  protected readonly is = signal<string>(this.asked.photo.reading?.card.is ?? CARDS[0].value);
  protected readonly faces = signal(Math.round(this.asked.photo.reading?.faces ?? frontAngle(this.asked.make.design.cup)));
  protected readonly busy = signal(false);
  protected readonly refused = signal<string | null>(null);
  /** what the photo is asked: an answer holds for as long as this stays the same */
  private readonly question = computed(() => {
    const { card, second, ...handles } = this.at();
    const secondIs = this.second();
    const cards: CupPhotoRequest['cards'] = [
      { at: card, is: this.is() },
      ...(secondIs === null ? [] : [{ at: second, is: secondIs }]),
    ];
    return { handles, cards, faces: this.faces() };
  });
  private readonly answer = signal<(CupAnswer & { readonly to: ReturnType<PhotoBeside['question']> }) | null>(null);
  protected readonly read = computed(() => (this.answer()?.to === this.question() ? this.answer() : null));
  protected readonly looking = signal(false);
  /** what was found by the photo's edges; null before anything was */
  protected readonly found = signal<string | null>(null);
  private search: Subscription | null = null;
  /** lines of the cup's outline over the photo */
  protected readonly outline = computed(() => {
    const line = outlineLine(this.asked.make.design.cup.stations, this.at());
    return line.map(([x, y]) => `${x},${y}`).join(' ');
  });
  protected readonly rows = computed(() =>
    (this.read()?.places ?? []).map((place) => ({
      ...place,
      offs: offText(place),
      says: place.telling ? differenceWords(place.off).word : 'no more than the photo can’t tell',
      before: place.other ? `${offText(place.other)} from make ${place.other.number}` : '',
    })),
  );

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stopLooking());
  }

  protected move(point: Point, [x, y]: PicturePoint): void {
    const { width, height } = this.asked.photo;
    const within: PicturePoint = [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))];
    this.stopLooking();
    this.at.set({ ...this.at(), [point]: within });
  }

  /** The picture is here: a photo that wasn't read before is looked through for the cup and the card. */
  protected shown(): void {
    if (!this.asked.photo.reading) this.find();
  }

  protected find(): void {
    const picture = this.picture();
    if (!picture) return;
    this.refused.set(null);
    this.stopLooking();
    this.looking.set(true);
    this.search = this.photos.find({ picture, stations: this.asked.make.design.cup.stations }).subscribe({
      next: ({ handles, card, second, says }) => {
        this.at.set({ ...this.at(), ...handles, ...(card ? { card } : {}), ...(second ? { second } : {}) });
        this.foundOut(says);
      },
      error: () => this.foundOut('This photo couldn’t be looked through. Draw the handles onto the cup and the card by hand.'),
    });
  }

  /** Whoever draws a handle, or reads by them as they are, knows better than what is still being looked for. */
  private stopLooking(): void {
    this.search?.unsubscribe();
    this.looking.set(false);
  }

  private foundOut(says: string): void {
    this.looking.set(false);
    this.found.set(says);
  }

  protected addSecond(): void {
    this.second.set(CARDS.find(({ value }) => value !== this.is())?.value ?? CARDS[0].value);
  }

  protected look(): void {
    const { photo, make, last, others } = this.asked;
    const picture = this.picture();
    if (!picture) return;
    this.stopLooking();
    const to = this.question();
    const { handles, faces } = to;
    const [card, second] = to.cards;
    this.busy.set(true);
    this.refused.set(null);
    this.photos.read({ make, last, picture, others, ...to }).subscribe({
      next: (told) => {
        this.busy.set(false);
        this.answer.set({ ...told, to });
        const { places } = told;
        const kept = places.map(({ id, name, lab: [L, a, b], hex, off, spread, share }) => ({
          ...{ id, name, hex, off, spread, share },
          lab: [L, a, b] as [number, number, number],
        }));
        const cornerOf = ([x, y]: PicturePoint): [number, number] => [x, y];
        this.photos
          .keepReading(photo.id, {
            handles: {
              rimLeft: cornerOf(handles.rimLeft),
              rimRight: cornerOf(handles.rimRight),
              footLeft: cornerOf(handles.footLeft),
              footRight: cornerOf(handles.footRight),
            },
            card: { at: cornerOf(card.at), is: card.is },
            ...(second ? { second: { at: cornerOf(second.at), is: second.is } } : {}),
            faces,
            places: kept,
          })
          .subscribe({ error: (error: unknown) => this.notices.failed(error) });
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.refused.set(error instanceof Error ? error.message : 'This photo can’t be read.');
      },
    });
  }

  /** The photo's pixels; null, with a sentence, where they can't be had. */
  private picture(): Picture | null {
    const { width, height } = this.asked.photo;
    const image = this.image().nativeElement;
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (image.naturalWidth === 0 || !context) {
      this.refused.set(
        context
          ? 'The picture isn’t here, or not yet. Wait a moment; if it stays away, add the photo again.'
          : 'This browser can’t look at pictures. Use another one.',
      );
      return null;
    }
    context.drawImage(image, 0, 0, width, height);
    return { pixels: context.getImageData(0, 0, width, height).data, width, height };
  }

  /** Where they were left; else where a cup of this one's shape usually stands, with a card at its left, a second one at its right. */
  private start(): Readonly<Record<Point, PicturePoint>> {
    const { photo, make } = this.asked;
    const usual = startingHandles(make.design.cup.stations, photo);
    const { handles, card, second } = photo.reading ?? { handles: usual.handles, card: { at: usual.card }, second: undefined };
    return { ...handles, card: card.at, second: second?.at ?? [photo.width - usual.card[0], usual.card[1]] };
  }
}

const offText = ({ off, spread }: { readonly off: number; readonly spread: number }): string =>
  `ΔE ${off.toFixed(1)} ± ${spread.toFixed(1)}`;

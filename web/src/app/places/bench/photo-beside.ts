import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal, viewChild } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { differenceWords, frontAngle } from '@aurantia/core';
import { startingHandles, type CupHandles, type PicturePoint } from '@aurantia/core/cup-photo';
import type { Make, MakePhoto, PlaceBeside } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Choice } from '../../parts/fields/choice';
import { Slider } from '../../parts/fields/slider';
import { MakePhotosMemory } from '../../services/make-photos';
import { Notices } from '../../services/notices';
import { PhotoPoint } from './photo-point';

export interface BesideAsked {
  readonly make: Make;
  readonly photo: MakePhoto;
  /** photos of other makes of the design that were read */
  readonly others: readonly MakePhoto[];
}

/** What a card beside the cup is: white ones reflect some nine tenths, photographers' grey ones 18 %. */
const CARDS = [
  { value: '#f0f0ee', name: 'white' },
  { value: '#777777', name: 'grey, 18 %' },
] as const;

type Point = keyof CupHandles | 'card';
const points: readonly { readonly key: Point; readonly name: string }[] = [
  { key: 'rimLeft', name: 'Rim, outermost left' },
  { key: 'rimRight', name: 'Rim, outermost right' },
  { key: 'footLeft', name: 'Foot, outermost left' },
  { key: 'footRight', name: 'Foot, outermost right' },
  { key: 'card', name: 'White or grey card' },
];

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
  protected readonly points = points;
  private readonly image = viewChild.required<ElementRef<HTMLImageElement>>('image');
  protected readonly address = this.photos.address(this.asked.photo.id, 'large');

  /** pixels of the photo */
  protected readonly at = signal<Readonly<Record<Point, PicturePoint>>>(this.start());
  protected readonly is = signal<string>(this.asked.photo.reading?.card.is ?? CARDS[0].value);
  protected readonly faces = signal(Math.round(this.asked.photo.reading?.faces ?? frontAngle(this.asked.make.design.cup)));
  protected readonly busy = signal(false);
  protected readonly refused = signal<string | null>(null);
  protected readonly read = signal<readonly PlaceBeside[] | null>(null);
  protected readonly unseen = signal<readonly string[]>([]);
  /** lines of the cup's outline over the photo */
  protected readonly outline = computed(() => {
    const { rimLeft, rimRight, footLeft, footRight } = this.at();
    return [rimLeft, rimRight, footRight, footLeft].map(([x, y]) => `${x},${y}`).join(' ');
  });
  protected readonly rows = computed(() =>
    (this.read() ?? []).map((place) => ({
      ...place,
      offs: offText(place),
      says: place.telling ? differenceWords(place.off).word : 'no more than the photo can’t tell',
      before: place.other ? `${offText(place.other)} from make ${place.other.number}` : '',
    })),
  );

  protected move(point: Point, [x, y]: PicturePoint): void {
    const { width, height } = this.asked.photo;
    const within: PicturePoint = [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))];
    this.at.set({ ...this.at(), [point]: within });
    this.read.set(null);
  }

  protected look(): void {
    const { photo, make } = this.asked;
    if (this.image().nativeElement.naturalWidth === 0)
      return this.refused.set('The picture isn’t here, or not yet. Wait a moment; if it stays away, add the photo again.');
    const canvas = new OffscreenCanvas(photo.width, photo.height);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return this.refused.set('This browser can’t look at pictures. Use another one.');
    context.drawImage(this.image().nativeElement, 0, 0, photo.width, photo.height);
    const { data: pixels } = context.getImageData(0, 0, photo.width, photo.height);
    const { card, ...handles } = this.at();
    this.busy.set(true);
    this.refused.set(null);
    const request = {
      make,
      picture: { pixels, width: photo.width, height: photo.height },
      handles,
      card: { at: card, is: this.is() },
      faces: this.faces(),
      others: this.asked.others,
    };
    this.photos.read(request).subscribe({
      next: ({ places, unseen }) => {
        this.busy.set(false);
        this.read.set(places);
        this.unseen.set(unseen);
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
            card: { at: cornerOf(card), is: this.is() },
            faces: this.faces(),
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

  /** Where they were left; else where a cup of this one's shape usually stands. */
  private start(): Readonly<Record<Point, PicturePoint>> {
    const { photo, make } = this.asked;
    const { handles, card } = photo.reading
      ? { handles: photo.reading.handles, card: photo.reading.card.at }
      : startingHandles(make.design.cup.stations, photo);
    return { ...handles, card };
  }
}

const offText = ({ off, spread }: { readonly off: number; readonly spread: number }): string =>
  `ΔE ${off.toFixed(1)} ± ${spread.toFixed(1)}`;

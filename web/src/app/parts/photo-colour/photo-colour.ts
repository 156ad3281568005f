import { ChangeDetectionStrategy, Component, computed, type ElementRef, output, signal, viewChild } from '@angular/core';
import { balanced, PatchError, type KnownPatch } from '@aurantia/core';
import { PhotoError, readPhoto, meanColour } from './read-photo';
import { FileField } from '../fields/file-field';
import { BUTTONS } from '../buttons';

/** What a patch of the photo that is known really is. */
const CARDS = [
  { name: 'white card', is: '#f4f4f2' },
  { name: 'grey card', is: '#777777' },
] as const;

/** A photo as it is looked at: RGBA, and what sets its light right. */
export interface LookedAt {
  readonly pixels: Uint8ClampedArray;
  readonly patch: KnownPatch | null;
}

/** A colour picked out of a photo, set right by a white or grey card in the same picture. */
@Component({
  selector: 'au-photo-colour',
  imports: [BUTTONS, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-colour.html',
  styleUrl: './photo-colour.scss',
})
export class PhotoColour {
  readonly picked = output<string>();
  /** the same as the photo shows it, before its light was set right */
  readonly spotted = output<string>();
  /** what sets the photo's light right; null of a new photo */
  readonly lit = output<KnownPatch | null>();
  /** the whole photo, whenever there is a new one or its light is set right */
  readonly shown = output<LookedAt>();
  protected readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected readonly cards = CARDS;
  protected readonly open = signal(false);
  protected readonly sentence = signal<string | null>(null);
  /** what the next press on the photo picks */
  protected readonly picking = signal<'colour' | (typeof CARDS)[number]>('colour');
  private readonly patch = signal<KnownPatch | null>(null);
  private readonly raw = signal<string | null>(null);
  protected readonly place = signal<{ x: number; y: number } | null>(null);
  protected readonly result = computed(() => {
    const [raw, patch] = [this.raw(), this.patch()];
    if (!raw) return null;
    if (!patch) return { colour: raw, sentence: null };
    try {
      return { colour: balanced(raw, patch), sentence: null };
    } catch (error) {
      if (error instanceof PatchError) return { colour: null, sentence: error.message };
      throw error;
    }
  });
  protected readonly corrected = computed(() => this.patch() !== null);

  protected async bring(file: File): Promise<void> {
    try {
      const picture = await readPhoto(file);
      const canvas = this.canvas().nativeElement;
      canvas.width = picture.width;
      canvas.height = picture.height;
      canvas.getContext('2d', { willReadFrequently: true })?.drawImage(picture, 0, 0);
      picture.close();
      this.open.set(true);
      this.sentence.set(null);
      this.raw.set(null);
      this.patch.set(null);
      this.lit.emit(null);
      this.picking.set('colour');
      this.show();
    } catch (error) {
      if (!(error instanceof PhotoError)) throw error;
      this.sentence.set(error.message);
    }
  }

  protected press(event: MouseEvent): void {
    const canvas = this.canvas().nativeElement;
    const box = canvas.getBoundingClientRect();
    this.take(((event.clientX - box.left) / box.width) * canvas.width, ((event.clientY - box.top) / box.height) * canvas.height);
  }

  /** Without a pointer the cross is moved by arrow keys and takes with Enter. */
  protected key(event: KeyboardEvent): void {
    const canvas = this.canvas().nativeElement;
    const step = event.shiftKey ? 40 : 8;
    const at = this.place() ?? { x: canvas.width / 2, y: canvas.height / 2 };
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [0, 0];
    if (event.key === 'Enter' || event.key === ' ') this.take(at.x, at.y);
    else if (dx === 0 && dy === 0) return;
    else this.place.set({ x: within(at.x + dx * step, canvas.width), y: within(at.y + dy * step, canvas.height) });
    event.preventDefault();
  }

  private show(): void {
    const { width, height } = this.canvas().nativeElement;
    const pixels = this.canvas().nativeElement.getContext('2d', { willReadFrequently: true })?.getImageData(0, 0, width, height);
    if (pixels) this.shown.emit({ pixels: pixels.data, patch: this.patch() });
  }

  private take(x: number, y: number): void {
    const context = this.canvas().nativeElement.getContext('2d', { willReadFrequently: true });
    if (!context) return;
    this.place.set({ x, y });
    const colour = meanColour(context, x, y);
    const picking = this.picking();
    if (picking === 'colour') {
      this.raw.set(colour);
      this.spotted.emit(colour);
    } else {
      const patch = { seen: colour, is: picking.is };
      this.patch.set(patch);
      this.lit.emit(patch);
      this.picking.set('colour');
      this.show();
    }
    const result = this.result();
    if (result?.colour) this.picked.emit(result.colour);
  }
}

const within = (value: number, most: number): number => Math.min(most - 1, Math.max(0, value));

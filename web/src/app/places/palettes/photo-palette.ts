import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal } from '@angular/core';
import type { Palette } from '@aurantia/core/palette';
import type { PhotoColour } from '@aurantia/core/photo';
import { Pick } from '../../parts/fields/pick';
import { SharePipe } from '../../parts/fields/unit-pipes';
import { PhotoColour as PhotoColourPart, type LookedAt } from '../../parts/photo-colour/photo-colour';
import { PhotoColours } from '../../services/photo-colours';
import { BUTTONS } from '../../parts/buttons';

const MOST = 8;

/** The main colours of a photo as a palette; one more can be taken by pressing the photo. */
@Component({
  selector: 'au-photo-palette',
  imports: [BUTTONS, PhotoColourPart, Pick, SharePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Colours of a photo</h2>
    <au-photo-colour (shown)="photo.set($event)" (picked)="picked.set($event)" />
    @if (photo()) {
      <au-pick label="How many colours" [options]="counts" [value]="count() + ''" (valueChange)="count.set(+$event)" />
      @if (sentence()) {
        <p class="wrong-note" role="alert">{{ sentence() }}</p>
      } @else if (busy()) {
        <p class="soft" role="status">Sorting its colours…</p>
      } @else {
        <ol aria-label="Colours found">
          @for (one of all(); track $index) {
            <li>
              <i [style.background]="one.colour"></i> <b>{{ one.colour }}</b>
              <span class="soft">{{ one.share === null ? 'picked by hand' : (one.share | share) + ' of the photo' }}</span>
            </li>
          }
        </ol>
      }
    } @else {
      <p class="soft">
        A photo of a cup, a cloth, a landscape. With a white or grey card in it, its light can be set right first.
      </p>
    }
    <div class="line">
      <button type="button" matButton="filled" [disabled]="all().length === 0" (click)="keep()">Keep as a palette</button>
      <button type="button" matButton (click)="left.emit()">Leave it</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 14px;
      justify-items: start;
    }
    au-photo-colour {
      width: 100%;
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
      width: 100%;
    }
    li {
      display: flex;
      align-items: center;
      gap: 12px;
      padding: 6px 0;
    }
    i {
      width: 120px;
      height: 34px;
      border-radius: 6px;
    }
  `,
})
export class PhotoPalette {
  private readonly colours = inject(PhotoColours);
  readonly found = output<Palette['colours']>();
  readonly left = output();
  protected readonly counts = Array.from({ length: MOST - 1 }, (_, i) => ({ value: `${i + 2}`, name: `${i + 2}` }));
  protected readonly photo = signal<LookedAt | null>(null);
  protected readonly count = signal(5);
  protected readonly picked = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly sentence = signal<string | null>(null);
  private readonly sorted = signal<readonly PhotoColour[]>([]);
  protected readonly all = computed(() => {
    const picked = this.picked();
    return [
      ...this.sorted().map(({ colour, share }) => ({ colour, share: share as number | null })),
      ...(picked === null ? [] : [{ colour: picked, share: null }]),
    ];
  });

  constructor() {
    effect((onCleanup) => {
      const [photo, count] = [this.photo(), this.count()];
      if (!photo) return;
      this.busy.set(true);
      const work = this.colours.of({ ...photo, count }).subscribe({
        next: (found) => {
          this.sorted.set(found);
          this.sentence.set(null);
          this.busy.set(false);
        },
        error: (error: Error) => {
          this.sentence.set(error.message);
          this.busy.set(false);
        },
      });
      onCleanup(() => work.unsubscribe());
    });
  }

  protected keep(): void {
    this.found.emit(this.all().map(({ colour }, i) => ({ name: `Colour ${i + 1}`, colour, mix: null })));
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, untracked } from '@angular/core';
import { comparedBlends, type PlannedBlend } from '@aurantia/core';
import { paletteOfBlends, type PaletteId } from '@aurantia/core/palette';
import { v7 } from 'uuid';
import { AmountPipe, SharePipe } from '../../../parts/fields/unit-pipes';
import { Notices } from '../../../services/notices';
import { Palettes } from '../../../services/palettes';
import { Tip } from '../../../parts/tip';
import { BUTTONS } from '../../../parts/buttons';

/** So many blends fit beside each other. */
const MOST = 4;

/** Up to four blends of the design beside each other, and how far apart each pair is seen. */
@Component({
  selector: 'au-compare-blends',
  imports: [BUTTONS, AmountPipe, SharePipe, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">Up to {{ most }} blends side by side, as they are seen from afar over their own bases.</p>
    <div class="choose" role="group" aria-label="Blends to compare">
      @for (blend of blends(); track blend.area) {
        <button
          type="button"
          matButton="outlined"
          [class.on]="picked().includes(blend.area)"
          [attr.aria-pressed]="picked().includes(blend.area)"
          [disabled]="!picked().includes(blend.area) && picked().length >= most"
          (click)="toggle(blend.area)"
        >
          {{ blend.areaName }}
        </button>
      }
    </div>
    <div class="side" [style.grid-template-columns]="'repeat(' + shown().length + ', minmax(0, 1fr))'">
      @for (blend of shown(); track blend.area) {
        <figure>
          <i [style.background]="blend.seen" [auTip]="blend.seen"></i>
          <figcaption>
            <b>{{ blend.areaName }}</b>
            @for (part of blend.parts; track part.item) {
              <span>{{ part.name }} {{ part.ml | amount: part.gramsPerMl }}</span>
            }
            <span class="soft">{{ blend.bare | share: 1 }} bare</span>
          </figcaption>
        </figure>
      }
    </div>
    <button type="button" matButton="outlined" [disabled]="shown().length === 0" (click)="keep()">Keep these as a palette</button>
    <dl>
      @for (pair of pairs(); track pair.one + pair.other) {
        <div>
          <dt>{{ pair.one }} and {{ pair.other }}</dt>
          <dd>
            <b>{{ pair.words.word }}</b> <span class="soft">{{ pair.difference.toFixed(1) }} apart, {{ pair.words.says }}</span>
          </dd>
        </div>
      } @empty {
        <p class="soft">Choose a second blend to compare with.</p>
      }
    </dl>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .choose {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
    .side {
      display: grid;
      gap: 0;
      border-radius: 8px;
      overflow: hidden;
    }
    .mat-mdc-outlined-button {
      justify-self: start;
    }
    figure {
      margin: 0;
    }
    figure i {
      display: block;
      height: 130px;
    }
    figcaption {
      display: grid;
      padding: 8px 6px 0 0;
      font-size: 0.7812rem;
    }
    dl {
      margin: 0;
    }
    dl div {
      display: flex;
      justify-content: space-between;
      gap: 10px;
      padding: 7px 0;
      border-bottom: 1px solid var(--line);
    }
    dd b {
      margin-right: 6px;
    }
    dd {
      margin: 0;
      text-align: right;
    }
  `,
})
export class CompareBlends {
  readonly blends = input.required<readonly PlannedBlend[]>();
  readonly here = input.required<string>();
  readonly design = input.required<string>();
  private readonly palettes = inject(Palettes);
  private readonly notices = inject(Notices);
  protected readonly most = MOST;
  /** starts with this area's blend and the next few */
  protected readonly picked = linkedSignal<readonly string[]>(() => {
    const here = this.here();
    const all = untracked(this.blends).map(({ area }) => area as string);
    return [...all.filter((area) => area === here), ...all.filter((area) => area !== here)].slice(0, MOST);
  });
  protected readonly shown = computed(() =>
    this.picked().flatMap((area) => this.blends().filter((blend) => (blend.area as string) === area)),
  );
  protected readonly pairs = computed(() => comparedBlends(this.shown()));

  protected keep(): void {
    const palette = paletteOfBlends(v7() as PaletteId, `Blends of ${this.design()}`, this.shown());
    this.palettes.put(palette).subscribe(({ name }) => this.notices.say(`“${name}” is among the palettes, on the shelf.`));
  }

  protected toggle(area: string): void {
    this.picked.update((picked) => (picked.includes(area) ? picked.filter((one) => one !== area) : [...picked, area]));
  }
}

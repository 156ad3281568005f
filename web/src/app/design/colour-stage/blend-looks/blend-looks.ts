import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  bareWallColour,
  blendOver,
  countedWords,
  countText,
  percentText,
  type FlakeField,
  type Plan,
  type PlannedArea,
  type PlannedBlend,
} from '@aurantia/core';
import { SharePipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';
import { Swatch, SWATCH_SIDE } from '../../../parts/swatch/swatch';
import { ColourDot } from '../../../parts/fields/colour-dot';
import { Switch } from '../../../parts/fields/switch';
import { Tip } from '../../../parts/tip';
import { Word } from '../../../parts/word/word';
import { CoverChart } from './cover-chart';
import { Unfetched } from '../../../parts/unfetched/unfetched';

/** How a blend looks: close, from afar, over other bases, pass by pass, and how sure all that is. */
@Component({
  selector: 'au-blend-looks',
  imports: [ColourDot, Swatch, Switch, SharePipe, Tip, Word, CoverChart, Unfetched],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-label="How it looks">
      <au-swatch
        [plan]="plan()"
        [area]="area().id"
        [finished]="finished()"
        [label]="area().name + ' seen close, ' + side + ' by ' + side + ' mm'"
        (dropped)="field.set($event)"
      />
      <div class="over">
        <span>{{ side }} × {{ side }} mm, {{ shows() }}</span
        ><span>tilt it</span>
      </div>
      @if (inked()) {
        <au-switch [checked]="finished()" (checkedChange)="finished.set($event)">with all its coats on</au-switch>
      }
      @if (blend(); as mix) {
        <div class="figures">
          <div>
            <span>Seen from afar</span>
            <i class="seen" [style.background]="mix.seen" [auTip]="mix.seen"></i>
          </div>
          <div>
            <span>Stays <au-word of="bare">bare</au-word></span>
            <b>{{ mix.bare | share: 1 }}</b>
          </div>
          <div>
            <span>Weighs</span>
            <b>{{ mix.grams.toFixed(1) }} g</b>
          </div>
        </div>
        <p class="soft sure">{{ sure() }}</p>
        @if (counted()) {
          <p class="soft sure">{{ counted() }}</p>
        }
        <div class="over">
          <span>The same blend over</span>
          <span class="pick"
            >any base <au-colour-dot label="Any base to see it over" [value]="picked() ?? mix.under" (moved)="picked.set($event)"
          /></span>
        </div>
        <div class="bases">
          @for (one of bases(); track one.name) {
            <div>
              <i [style.background]="one.seen"><u [style.background]="one.under"></u></i><span>{{ one.name }}</span>
            </div>
          }
        </div>
        <div class="over"><span>As it comes, and what stays bare</span></div>
        <div class="sweep">
          @for (one of mix.sweep; track one.passes) {
            <div [class.now]="one.passes === mix.passes" [attr.aria-current]="one.passes === mix.passes ? true : null">
              <i [style.background]="one.seen" [auTip]="one.seen"></i>
              <span>{{ passWord(one.passes) }}</span>
              <span>{{ one.bare | share: (one.bare < 0.01 ? 1 : 0) }}</span>
            </div>
          }
        </div>
        @defer (on immediate) {
          <au-cover-chart [blend]="mix" />
        } @error {
          <au-unfetched />
        }
        @if (inked()) {
          <div class="inked">
            <i [style.background]="plan().finished[area().id]"></i
            ><span>once all its coats are on, from afar{{ plan().throughGloss ? ', through the gloss' : '' }}</span>
          </div>
        }
      }
    </section>
  `,
  styleUrl: './blend-looks.scss',
})
export class BlendLooks {
  readonly plan = input.required<Plan>();
  readonly area = input.required<PlannedArea>();
  readonly blend = input.required<PlannedBlend | null>();
  protected readonly side = SWATCH_SIDE;
  private readonly memory = inject(WorkshopMemory);
  /** hex of a base to try; null until one is picked */
  protected readonly picked = signal<string | null>(null);
  protected readonly bases = computed(() => {
    const blend = this.blend();
    if (!blend) return [];
    const { white, silver, black } = blend.seenOver;
    const picked = this.picked();
    return [
      { name: 'this base', seen: blend.seen, under: blend.under },
      { name: 'white', seen: white, under: '#ffffff' },
      { name: 'silver', seen: silver, under: bareWallColour.steel },
      { name: 'black', seen: black, under: '#000000' },
      ...(picked === null ? [] : [{ name: picked, seen: blendOver(blend, this.memory.shelf(), picked), under: picked }]),
    ];
  });
  /** whether the swatch shows the cup as it comes out, or the glitter before its ink */
  protected readonly finished = signal(true);
  protected readonly inked = computed(() => {
    const blend = this.blend();
    return blend !== null && this.plan().finished[this.area().id] !== blend.seen;
  });
  protected readonly shows = computed(() => (this.inked() && !this.finished() ? 'this glitter alone' : 'as it comes out'));
  protected readonly field = signal<FlakeField | null>(null);
  protected readonly counted = computed(() => {
    const field = this.field();
    const finished = this.plan().finished[this.area().id];
    return field ? countedWords(field, this.finished() ? finished : (this.blend()?.seen ?? finished)) : null;
  });
  protected readonly sure = computed(() => {
    const spread = this.blend()?.spread;
    return spread ? `Bare ± ${percentText(spread.bare, 1)}, colour ± ${spread.colour.toFixed(1)}. ${spread.narrows}` : '';
  });

  protected passWord(passes: number): string {
    return countText(passes, 'pass', 'passes');
  }
}

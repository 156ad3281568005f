import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  amountText,
  areaText,
  countText,
  gradedLines,
  gramText,
  percentText,
  potRecipe,
  thicknessText,
  type Plan,
  type PlannedCoat,
} from '@aurantia/core';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { WorkshopMemory } from '../../services/workshop';

/** What one coat takes, in figures to read over a glove. */
@Component({
  selector: 'au-coat-amounts',
  imports: [MaterialGlyph],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (mix(); as parts) {
      <div class="big">
        <div>
          <span>Part A</span><b>{{ parts.a }}</b>
          @if (parts.weighed) {
            <small>{{ parts.weighed.a }}</small>
          }
        </div>
        <div>
          <span>Part B</span><b>{{ parts.b }}</b>
          @if (parts.weighed) {
            <small>{{ parts.weighed.b }}</small>
          }
        </div>
        <div>
          <span>Makes</span><b>{{ parts.both }}</b>
          <small>{{ parts.sinks }}</small>
        </div>
        @for (one of drops(); track one.item) {
          <div>
            <span>{{ one.ink }}</span><b>{{ one.counted }}</b>
            <small>{{ one.share }} of the resin</small>
          </div>
        }
      </div>
    }
    @if (graded(); as lines) {
      <ul class="parted" aria-label="Pots of this coat">
        @for (line of lines; track line) {
          <li>{{ line }}</li>
        }
      </ul>
    }
    @if (pots().length > 0) {
      <div class="big">
        @for (pot of pots(); track pot.item) {
          <div>
            <span>{{ pot.ink }}</span><b>{{ pot.counted }}</b>
            <small>in {{ pot.ml }} held back, {{ pot.share }}</small>
          </div>
        }
      </div>
    }
    @for (use of coat().uses; track use.item) {
      <p class="use">
        {{ use.counted ? '' : 'About ' }}<b>{{ use.reads }}</b> of {{ use.name }}
      </p>
    }
    @if (pours().length > 0) {
      <ul>
        @for (pour of pours(); track pour.area) {
          <li>
            <b>{{ pour.areaName }}</b>
            @if (pour.recipe) {
              <span>{{ pour.recipe }}</span>
            }
            @for (part of pour.recipe ? [] : pour.parts; track part.name) {
              <span class="part"
                ><au-glyph kind="glitter" [colour]="part.colour" [size]="15" /> {{ part.amount }} {{ part.name }}</span
              >
            }
            <span class="soft">{{ pour.total }} in all, {{ pour.castOff }} excess</span>
          </li>
        }
      </ul>
    }
    @if (coat().area !== null) {
      <p class="soft">
        {{ spread() }}
      </p>
    }
  `,
  styleUrl: './coat-amounts.scss',
})
export class CoatAmounts {
  private readonly memory = inject(WorkshopMemory);
  readonly coat = input.required<PlannedCoat>();
  /** pots of these are measured by the spoon, of mixes made first */
  readonly fades = input.required<Plan['fades']>();

  protected readonly spread = computed(() => {
    const { area, thickness } = this.coat();
    return `On ${areaText(area ?? 0, this.memory.units())}${thickness === null ? '' : `, ${thicknessText(thickness)} thick`}`;
  });
  protected readonly drops = computed(() =>
    this.coat().drops.map((one) => ({ ...one, counted: countText(one.count, one.dose), share: percentText(one.load / 100, 1) })),
  );
  /** small pots of a coat's resin, each with an ink of its own */
  protected readonly pots = computed(() =>
    (this.coat().strings?.pots ?? []).map(({ ml }, at) => ({
      ...this.drops()[at],
      ml: amountText(ml, { ...this.memory.units(), amount: 'ml' }, 1),
    })),
  );
  /** how the resin is parted into pots, where its load changes on the way up */
  protected readonly graded = computed(() => {
    const { graded, drops } = this.coat();
    return graded && gradedLines(graded, drops, this.memory.units());
  });
  protected readonly mix = computed(() => {
    const { mix } = this.coat();
    const units = this.memory.units();
    if (!mix) return null;
    const volumes = { a: amountText(mix.a, units, mix.aGrams / mix.a), b: amountText(mix.b, units, mix.bGrams / mix.b) };
    const grams = { a: gramText(mix.aGrams), b: gramText(mix.bGrams) };
    const both = (mix.aGrams + mix.bGrams) / mix.mix;
    // Only a scale keeps a ratio that is by weight.
    const byScale = mix.ratioBy === 'weight' && units.amount !== 'gram';
    return {
      ...(byScale ? grams : volumes),
      both: amountText(mix.mix, units, both),
      sinks: mix.fill > 0.05 ? `${amountText(mix.fill, units, both)} sinks into the glitter` : `of ${mix.resin}`,
      weighed: secondly(byScale, units.amount === 'gram', volumes, grams),
    };
  });
  protected readonly pours = computed(() => {
    const units = this.memory.units();
    const pots = this.fades().flatMap(({ laid }) => laid?.pots ?? []);
    return this.coat().pours.map(({ area, areaName, parts, ml, grams, castOff }) => ({
      area,
      areaName,
      parts: parts.map((part) => ({ name: part.name, colour: part.colour, amount: amountText(part.ml, units, part.gramsPerMl) })),
      recipe: pots.filter(({ id }) => id === area).map((pot) => potRecipe(pot, units))[0] ?? null,
      total: amountText(ml, units, ml > 0 ? grams / ml : 1),
      castOff: percentText(castOff),
    }));
  });
}

interface Parts {
  readonly a: string;
  readonly b: string;
}

/** What is read beside the figure to measure by: the other of volume and weight; nothing where both are grams. */
function secondly(byScale: boolean, inGrams: boolean, volumes: Parts, grams: Parts): Parts | null {
  if (inGrams) return null;
  return byScale
    ? { a: `about ${volumes.a}, by weight`, b: `about ${volumes.b}, by weight` }
    : { a: `${grams.a} on the scale`, b: `${grams.b} on the scale` };
}

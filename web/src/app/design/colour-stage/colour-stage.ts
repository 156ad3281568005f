import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, model, signal } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import {
  amountText,
  amountUnit,
  colourBefore,
  itemOf,
  percentText,
  withBlendFrom,
  withFactor,
  withPart,
  withSectionsInOrder,
  withSectionsWeighed,
  withPartMl,
  withParts,
  withoutPart,
  type AreaId,
  type Design,
  type FadeBeside,
  type FoundMix,
  type ItemOf,
  type Plan,
  type ShelfItemId,
} from '@aurantia/core';
import { withFadeBegun } from '@aurantia/core';
import { sectionsWithBlends } from '@aurantia/core/ring';
import { AmountStepper } from '../../parts/fields/amount-stepper';
import { NumberField } from '../../parts/fields/number-field';
import { AreaPipe, SharePipe, SpanPipe } from '../../parts/fields/unit-pipes';
import { areaSwatch } from '../../parts/area-swatch';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { FindingNote } from '../finding-note/finding-note';
import { DesignSession } from '../session';
import { BlendLooks } from './blend-looks/blend-looks';
import { CompareBlends } from './compare-blends/compare-blends';
import { FadePane } from './fade/fade-pane';
import { FindMix } from './find-mix/find-mix';
import { HeldByGlue } from './held-by-glue/held-by-glue';
import { LeftoverMix } from './leftover-mix/leftover-mix';
import { RingOrder } from './ring-order/ring-order';
import { ScaleBlend } from './scale-blend/scale-blend';

const kindWords = { solid: 'opaque', tinted: 'see-through', opal: 'opal' } as const;

const tabs = [
  { tab: 'blend', name: 'Blend' },
  { tab: 'find', name: 'Find a mix' },
  { tab: 'fade', name: 'Fade' },
  { tab: 'ring', name: 'Ring' },
  { tab: 'glue', name: 'Glue' },
  { tab: 'compare', name: 'Compare' },
] as const;

/** A blend for each area: what is measured, what faces you, how it looks over this base and others. */
@Component({
  selector: 'au-colour-stage',
  imports: [
    MatMenuModule,
    AmountStepper,
    NumberField,
    FadePane,
    HeldByGlue,
    MaterialGlyph,
    BlendLooks,
    CompareBlends,
    FindMix,
    FindingNote,
    LeftoverMix,
    RingOrder,
    ScaleBlend,
    AreaPipe,
    SharePipe,
    SpanPipe,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './colour-stage.html',
  styleUrl: './colour-stage.scss',
})
export class ColourStage {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  readonly chosen = model<string | null>(null);
  /** what half of the cup's picture shows beside a fade's pots */
  readonly beside = model<'' | FadeBeside>('');

  protected readonly tab = linkedSignal<string | null, (typeof tabs)[number]['tab']>({
    source: this.chosen,
    // What an area can't have, such as a fade off the wall, isn't carried over to it.
    computation: (_, before) => (before === undefined || before.value === 'fade' ? 'blend' : before.value),
  });
  /** a ring needs sections, a fade some wall; an area that fades has no one blend */
  protected readonly tabs = computed(() =>
    tabs.filter(({ tab }) => {
      if (tab === 'ring') return sectionsWithBlends(this.design(), this.plan().blends).length >= 3;
      if (tab === 'fade')
        return this.design().areas.some(({ id, kind }) => id === this.chosen() && kind !== 'base' && kind !== 'grip');
      return this.fade() === null;
    }),
  );
  protected readonly swatch = (area: string): string => areaSwatch(this.plan(), area);
  protected readonly refused = signal<{ item: string; sentence: string } | null>(null);
  protected readonly area = computed(() => this.plan().areas.areas.find(({ id }) => id === this.chosen()) ?? null);
  protected readonly blend = computed(() => this.plan().blends.find((blend) => blend.area === this.chosen()) ?? null);
  protected readonly fade = computed(() => this.design().fades.find(({ area }) => area === this.chosen()) ?? null);
  protected readonly fading = computed(() => this.plan().fades.find(({ area }) => area === this.chosen()) ?? null);
  protected readonly shown = computed(() => (this.fade() && this.tab() !== 'ring' ? 'fade' : this.tab()));
  protected readonly unit = computed(() => amountUnit(this.memory.units()));
  /** ml of one part, while amounts are read in parts; each area starts in the maker's unit */
  protected readonly onePart = linkedSignal<string | null, number | null>({ source: this.chosen, computation: () => null });
  protected readonly partWrong = signal<string | null>(null);
  protected readonly rows = computed(() => {
    const shelf = this.memory.shelf();
    return (this.blend()?.parts ?? []).map((part) => {
      const jar = itemOf(shelf, part.item, 'glitter');
      const gone = itemOf(this.memory.gone(), part.item, 'glitter');
      if (jar) return { part, name: part.name, what: `${kindWords[jar.flake.kind]}, ${jar.finish}` };
      return { part, name: gone?.name ?? 'Unknown jar', what: 'no longer on the shelf' };
    });
  });
  /** the colour the blend had with the jars that are gone; null while all are here */
  protected readonly before = computed(() => {
    const blend = this.blend();
    if (!blend?.parts.some(({ missing }) => missing)) return null;
    return colourBefore(blend, [...this.memory.shelf(), ...this.memory.gone()], this.memory.shelf());
  });
  protected readonly jars = computed<readonly ItemOf<'glitter'>[]>(() => {
    const used = new Set(this.blend()?.parts.map((part) => part.item));
    return this.memory.shelf().filter((item): item is ItemOf<'glitter'> => item.kind === 'glitter' && !used.has(item.id));
  });
  protected readonly sources = computed(() => this.plan().blends.filter((blend) => blend.area !== this.chosen()));
  protected readonly findings = computed(() =>
    this.plan().findings.filter((finding) => finding.area !== null && finding.area === this.chosen()),
  );
  protected readonly total = computed(() => {
    const blend = this.blend();
    return blend ? amountText(blend.ml, this.memory.units(), blend.ml > 0 ? blend.grams / blend.ml : 1) : '';
  });
  /** how the pours, the glue and the cover hang together, in a sentence */
  protected readonly story = computed(() => {
    const blend = this.blend();
    if (!blend) return '';
    if (blend.passes === 0) return 'No coat pours this blend yet: shown as if all of it stuck.';
    const held = percentText(blend.poured > 0 ? blend.kept / (blend.poured * blend.passes) : 0);
    const pours = blend.passes === 1 ? 'One pour' : `${blend.passes} pours`;
    const more =
      blend.forCover.ml === null
        ? ` This many passes cover ${percentText(blend.forCover.most)} at most; add a glue and a glitter coat for more.`
        : '';
    return `${pours}; the glue keeps ${held} of it, the rest is cast off.${more}`;
  });

  protected add(item: ShelfItemId): void {
    this.onArea((design, area) => withPart(design, area, item, this.memory.settings().spoonStep * 4));
  }

  protected set(item: ShelfItemId, ml: number): void {
    const sentence = this.onArea((design, area) => withPartMl(design, area, item, ml));
    this.refused.set(sentence ? { item, sentence } : null);
  }

  /** To parts and back; the least of the mix counts as one. */
  protected inParts(): void {
    const parts = this.blend()?.parts ?? [];
    this.partWrong.set(null);
    this.onePart.set(this.onePart() === null && parts.length > 0 ? Math.min(...parts.map(({ ml }) => ml)) : null);
  }

  /** Another size of one part: the mix stays, its amount follows. */
  protected resize(ml: number): void {
    const before = this.onePart();
    if (before === null) return;
    const sentence = ml > 0 ? this.onArea((design, area) => withFactor(design, area, ml / before)) : 'A part is above nothing.';
    this.partWrong.set(sentence);
    if (sentence === null) this.onePart.set(ml);
  }

  protected takeOut(item: ShelfItemId): void {
    this.onArea((design, area) => withoutPart(design, area, item));
  }

  protected copyFrom(from: AreaId): void {
    this.onArea((design, area) => withBlendFrom(design, from, area));
  }

  protected scaled(parts: Design['blends'][number]['parts']): void {
    this.onArea((design, area) => withParts(design, area, parts));
  }

  protected beginFade(): void {
    const blend = this.blend();
    if (!blend) return;
    const sentence = this.onArea((design, area) => withFadeBegun(design, area, blend.kept > 0 ? blend.kept : blend.poured));
    if (sentence !== null) this.notices.say(sentence);
  }

  protected reorder(ids: readonly string[]): void {
    const sentence = this.session.change((design) => withSectionsInOrder(design, ids));
    if (sentence !== null) this.notices.say(sentence);
  }

  protected weigh(weights: Readonly<Record<string, number>>): void {
    const ids = sectionsWithBlends(this.design(), this.plan().blends).map(({ id }) => id);
    const sentence = this.session.change((design) => withSectionsWeighed(design, ids, weights));
    if (sentence !== null) this.notices.say(sentence);
  }

  protected use(mix: FoundMix): void {
    this.onArea((design, area) => withParts(design, area, [...mix.parts]));
    this.tab.set('blend');
  }

  private onArea(edit: (design: Design, area: AreaId) => Design): string | null {
    const area = this.area();
    return area ? this.session.change((design) => edit(design, area.id)) : null;
  }
}

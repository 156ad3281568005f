import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import {
  areaText,
  colourBefore,
  spanText,
  withParts,
  withSectionsInOrder,
  withSectionsWeighed,
  type FoundMix,
} from '@aurantia/core';
import { sectionsWithBlends } from '@aurantia/core/ring';
import { areaSwatch } from '../../parts/area-swatch';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { OpenDesign } from '../open-design';
import { DesignSession } from '../session';
import { BlendLooks } from './blend-looks/blend-looks';
import { BlendPane } from './blend-pane/blend-pane';
import { CompareBlends } from './compare-blends/compare-blends';
import { BeginFade } from './fade/begin-fade';
import { FadePane } from './fade/fade-pane';
import { FindMix } from './find-mix/find-mix';
import { HeldByGlue } from './held-by-glue/held-by-glue';
import { RingOrder } from './ring-order/ring-order';
import { Chips } from '../../parts/chips/chips';
import { TABS } from '../../parts/tabs/tabs';

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
  imports: [Chips, TABS, BeginFade, BlendLooks, BlendPane, CompareBlends, FadePane, FindMix, HeldByGlue, RingOrder, Unfetched],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './colour-stage.html',
  styleUrl: './colour-stage.scss',
})
export class ColourStage {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly open = inject(OpenDesign);
  protected readonly design = this.open.design;
  protected readonly plan = this.open.plan;
  protected readonly chosen = this.open.chosenArea;
  protected readonly beside = this.open.beside;

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
  protected readonly chips = computed(() =>
    this.plan().areas.areas.map((one) => ({
      id: one.id,
      name: one.name,
      colour: areaSwatch(this.plan(), one.id),
      says: [
        ...(one.from !== null && one.to !== null ? [spanText(one.from, one.to, this.memory.units())] : []),
        areaText(one.area, this.memory.units()),
      ].join(' · '),
      on: one.id === this.chosen(),
    })),
  );
  protected readonly area = computed(() => this.plan().areas.areas.find(({ id }) => id === this.chosen()) ?? null);
  protected readonly blend = computed(() => this.plan().blends.find((blend) => blend.area === this.chosen()) ?? null);
  protected readonly fade = computed(() => this.design().fades.find(({ area }) => area === this.chosen()) ?? null);
  protected readonly fading = computed(() => this.plan().fades.find(({ area }) => area === this.chosen()) ?? null);
  protected readonly shown = computed(() => (this.fade() && this.tab() !== 'ring' ? 'fade' : this.tab()));
  /** the colour the blend had with the jars that are gone; null while all are here */
  protected readonly before = computed(() => {
    const blend = this.blend();
    if (!blend?.parts.some(({ missing }) => missing)) return null;
    return colourBefore(blend, [...this.memory.shelf(), ...this.memory.gone()], this.memory.shelf());
  });
  protected readonly sources = computed(() => this.plan().blends.filter((blend) => blend.area !== this.chosen()));
  protected reorder(ids: readonly string[]): void {
    const sentence = this.session.change((design) => withSectionsInOrder(design, ids));
    if (sentence !== null) this.notices.say(sentence);
  }

  protected weigh(weights: Readonly<Record<string, number>>): void {
    const ids = sectionsWithBlends(this.design(), this.plan().blends).map(({ id }) => id);
    const sentence = this.session.change((design) => withSectionsWeighed(design, ids, weights));
    if (sentence !== null) this.notices.say(sentence);
  }

  protected use({ parts }: FoundMix): void {
    const area = this.area();
    if (area) this.session.change((design) => withParts(design, area.id, [...parts]));
    this.tab.set('blend');
  }
}

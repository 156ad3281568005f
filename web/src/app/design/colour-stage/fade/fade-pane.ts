import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  baseWords,
  deadWords,
  fadeMeasure,
  fadeWays,
  madeFirstWords,
  matchingPaints,
  MOST_POTS,
  passWords,
  pouringOrder,
  type Design,
  type Fade,
  type FadeBeside,
  type FadeWay,
  type PlannedFade,
  type PlannedBlend,
  type Plan,
} from '@aurantia/core';
import {
  asFall,
  asTheStopsSay,
  fadeHelps,
  turnedRound,
  weighedWords,
  withFade,
  withMatchingBase,
  withoutFade,
  withoutStop,
  withStopAdded,
  withStopAt,
  withStopBase,
  withStopCover,
  withStopDragged,
  withStopParts,
  withStopsAt,
  type FadeHelp,
} from '@aurantia/core';
import { inCleanOrder } from '@aurantia/core/ring';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { WorkshopMemory } from '../../../services/workshop';
import { FindingNote } from '../../finding-note/finding-note';
import { DesignSession } from '../../session';
import { FadeBars } from './fade-bars';
import { FadePots } from './fade-pots';
import { FadeStopCard, type StopChange, type StopRefused } from './fade-stop';
import { StepsChart } from './steps-chart';
import { Unfetched } from '../../../parts/unfetched/unfetched';
import { SeenFromTable } from './seen-from-table';
import { Tick } from '../../../parts/fields/tick';
import { Tip } from '../../../parts/tip';
import { BUTTONS } from '../../../parts/buttons';

const wayNames: Record<FadeWay, string> = {
  up: 'up from its foot',
  down: 'down from its rim',
  middle: 'from the middle both ways',
  round: 'round the cup',
  spiral: 'along a spiral',
};

type FadeField = 'turns' | 'overlap' | 'depth' | 'whole';
/** Where a change was refused: in a field of the fade, in one of its stops, or as a whole. */
type RefusedAt =
  | { readonly of: 'fade'; readonly field: FadeField }
  | { readonly of: 'stop'; readonly stop: number; readonly what: StopChange['what'] };
const WHOLE: RefusedAt = { of: 'fade', field: 'whole' };

/** A fade of an area: its stops, its pots, and whether it will show. Every change shows at once, on the cup too. */
@Component({
  selector: 'au-fade-pane',
  imports: [
    BUTTONS,
    FadeBars,
    FadePots,
    FadeStopCard,
    FindingNote,
    NumberField,
    Pick,
    SeenFromTable,
    StepsChart,
    Unfetched,
    Tick,
    Tip,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fade-pane.html',
  styleUrl: './fade-pane.scss',
})
export class FadePane {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  readonly design = input.required<Design>();
  readonly plan = input.required<Plan>();
  readonly fade = input.required<Fade>();
  readonly planned = input.required<PlannedFade>();
  readonly others = input.required<readonly PlannedBlend[]>();
  /** which half of the cup's picture shows something else, to see why */
  readonly beside = input.required<'' | FadeBeside>();
  readonly besideChange = output<'' | FadeBeside>();

  protected readonly ways = fadeWays.map((value) => ({ value, name: wayNames[value] }));
  protected readonly counts = Array.from({ length: MOST_POTS - 1 }, (_, i) => ({ value: `${i + 2}`, name: `${i + 2}` }));
  protected readonly halves = [
    { value: '', name: 'your pots all round' },
    { value: 'equal', name: 'half of it in equal spoons' },
    { value: 'unrounded', name: 'half of it before rounding' },
  ];
  private readonly refused = signal<(RefusedAt & { readonly sentence: string }) | null>(null);
  protected readonly why = (field: FadeField): string | null => {
    const refused = this.refused();
    return refused?.of === 'fade' && refused.field === field ? refused.sentence : null;
  };
  protected readonly whyStop = (stop: number): StopRefused | null => {
    const refused = this.refused();
    return refused?.of === 'stop' && refused.stop === stop ? refused : null;
  };
  protected readonly ownSpiral = computed(() =>
    this.design().areas.some(({ id, kind }) => id === this.fade().area && kind === 'spiral'),
  );
  protected readonly laid = computed(() => this.planned().laid);
  protected readonly weighed = computed(() => weighedWords(this.planned()));
  protected readonly measure = computed(() => fadeMeasure(this.planned()));
  protected readonly order = computed(() => pouringOrder(this.planned()));
  protected readonly passes = computed(() => passWords(this.planned()));
  protected readonly dead = computed(() => {
    const { laid } = this.planned();
    const units = this.memory.units();
    return {
      own: deadWords(this.planned(), laid?.dead ?? null, units),
      equal: deadWords(this.planned(), laid?.deadInEqual ?? null, units),
    };
  });
  protected readonly first = computed(() => madeFirstWords(this.planned(), this.memory.units()));
  /** of what the check says, all but the verdict, which stands here already */
  protected readonly findings = computed(() =>
    this.plan().findings.filter(({ area, rule }) => area === this.fade().area && rule !== 'fade that doesn’t show'),
  );
  /** the paints nearest to the stops, so that gaps don't show; nothing to say once they lie under them */
  protected readonly match = computed(() => {
    const { stops } = this.fade();
    const paints = matchingPaints(stops, this.memory.shelf());
    if (paints.every((paint, i) => paint === null || paint.id === stops[i].base)) return '';
    return `Nearest paints under them: ${paints.map((paint) => paint?.name ?? 'none').join(', ')}.`;
  });
  protected readonly bases = computed(() => baseWords(this.planned(), this.memory.units()));
  protected readonly helps = computed(() => fadeHelps(this.design(), this.memory.workshop(), this.planned()));
  protected readonly strip = computed(() => {
    const query = new URLSearchParams({ what: `fade ${this.fade().area}`, gap: '1', overlap: '5', straight: 'false' });
    return `/api/designs/${encodeURIComponent(this.design().id)}/template.pdf?${query.toString()}`;
  });

  protected set(change: (fade: Fade) => Fade, at: RefusedAt = WHOLE): void {
    this.say(
      at,
      this.session.change((design) => withFade(design, this.fade().area, change)),
    );
  }

  protected way(way: string): void {
    this.set((fade) => ({ ...fade, way: fadeWays.find((one) => one === way) ?? fade.way }));
  }

  protected number(field: 'turns' | 'overlap' | 'depth' | 'pots', value: number | null): void {
    this.set((fade) => ({ ...fade, [field]: value ?? 0 }), { of: 'fade', field: field === 'pots' ? 'whole' : field });
  }

  protected drag({ stop, at }: { stop: number; at: number }): void {
    this.session.change((design) => withFade(design, this.fade().area, (fade) => withStopDragged(fade, stop, at)), 'fade stop');
  }

  protected done(): void {
    this.session.endGesture();
  }

  protected changed(stop: number, change: StopChange): void {
    const { area } = this.fade();
    const at: RefusedAt = { of: 'stop', stop, what: change.what };
    switch (change.what) {
      case 'at':
        return this.set((fade) => withStopAt(fade, stop, change.at), at);
      case 'parts':
        return this.set((fade) => withStopParts(fade, stop, change.parts), at);
      case 'cover':
        return this.set((fade) => withStopCover(fade, stop, change.cover), at);
      case 'base':
        return this.say(
          at,
          this.session.change((design) => withStopBase(design, area, stop, change.base)),
        );
      case 'gone':
        return this.set((fade) => withoutStop(fade, stop), at);
    }
  }

  protected asStops = (): void => this.set(asTheStopsSay);
  protected add = (): void => this.set(withStopAdded);
  protected turn = (): void => this.set(turnedRound);
  protected fall = (): void => this.set(asFall);
  protected even = (): void => this.set((fade) => withStopsAt(fade, this.laid()?.evenAt ?? []));
  protected clean = (): void => this.set((fade) => inCleanOrder(fade, this.planned()));
  protected matchBase(): void {
    this.say(
      WHOLE,
      this.session.change((design) => withMatchingBase(design, this.fade().area, this.memory.shelf())),
    );
  }

  protected castOff = (castOff: boolean): void => this.set((fade) => ({ ...fade, castOff }));

  protected take({ design }: FadeHelp): void {
    if (design)
      this.say(
        WHOLE,
        this.session.change(() => design),
      );
  }

  protected half(beside: string): void {
    this.besideChange.emit(beside === 'equal' || beside === 'unrounded' ? beside : '');
  }

  protected takeOff(): void {
    this.say(
      WHOLE,
      this.session.change((design) => withoutFade(design, this.fade().area)),
    );
  }

  private say(at: RefusedAt, sentence: string | null): void {
    this.refused.set(sentence === null ? null : { ...at, sentence });
  }
}

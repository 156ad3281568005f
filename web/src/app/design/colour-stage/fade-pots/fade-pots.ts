import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  FadeError,
  fadeOfArea,
  lengthFigure,
  listText,
  MOST_POTS,
  spanText,
  UnclearRegionError,
  type Cup,
  type FadeChoice,
  type FadePlan,
  type PlannedArea,
  type PlannedBlend,
  type ShelfItemId,
} from '@aurantia/core';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { AmountPipe, SharePipe } from '../../../parts/fields/unit-pipes';
import { WorkshopMemory } from '../../../services/workshop';

/** What an end of a fade is picked as: thinning out, a jar, or another area's blend. */
const THIN = 'thin';

/** A fade of this blend into another, in pots: their recipes and bands, how even they come, and whether it will show. */
@Component({
  selector: 'au-fade-pots',
  imports: [AmountPipe, NumberField, Pick, SharePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fade-pots.html',
  styleUrl: './fade-pots.scss',
})
export class FadePots {
  private readonly memory = inject(WorkshopMemory);
  readonly blend = input.required<PlannedBlend>();
  readonly area = input.required<PlannedArea>();
  readonly cup = input.required<Cup>();
  readonly others = input.required<readonly PlannedBlend[]>();
  readonly laid = output<FadePlan['pots']>();

  protected readonly to = signal<string>(THIN);
  protected readonly up = signal(true);
  protected readonly pots = signal<number | null>(null);
  protected readonly overlap = signal(6);
  protected readonly ends = computed(() => {
    const used = this.blend().parts.length === 1 ? this.blend().parts[0].item : null;
    return [
      { value: THIN, name: 'thinning out' },
      ...this.others().map(({ area, areaName }) => ({ value: `area/${area}`, name: `the blend of ${areaName}` })),
      ...this.memory
        .shelf()
        .filter(({ kind, id }) => kind === 'glitter' && id !== used)
        .map(({ id, name }) => ({ value: `jar/${id}`, name })),
    ];
  });
  protected readonly ways = [
    { value: 'up', name: 'at the foot’s side' },
    { value: 'down', name: 'at the rim’s side' },
  ];
  protected readonly counts = [
    { value: '', name: 'as many as it takes' },
    ...Array.from({ length: MOST_POTS - 1 }, (_, i) => ({ value: `${i + 2}`, name: `${i + 2}` })),
  ];
  private readonly choice = computed<FadeChoice>(() => {
    const [kind, id] = this.to().split('/');
    const blend = this.others().find(({ area }) => area === id);
    return {
      to: kind === 'jar' ? { jar: id as ShelfItemId } : kind === 'area' && blend ? { blend } : null,
      up: this.up(),
      pots: this.pots(),
      overlap: this.overlap(),
    };
  });
  private readonly worked = computed<{ fade: FadePlan } | { sentence: string }>(() => {
    try {
      const { spoonStep } = this.memory.settings();
      return { fade: fadeOfArea(this.blend(), this.area(), this.cup(), this.memory.shelf(), spoonStep, this.choice()) };
    } catch (error) {
      if (!(error instanceof FadeError || error instanceof UnclearRegionError)) throw error;
      return { sentence: error.message };
    }
  });
  protected readonly fade = computed(() => {
    const worked = this.worked();
    return 'fade' in worked ? worked.fade : null;
  });
  protected readonly sentence = computed(() => {
    const worked = this.worked();
    return 'sentence' in worked ? worked.sentence : null;
  });
  protected readonly perMl = computed(() => (this.blend().ml > 0 ? this.blend().grams / this.blend().ml : 1));
  protected readonly span = computed(() => {
    const { from, to } = this.area();
    return from === null || to === null ? '' : spanText(from, to, this.memory.units());
  });
  protected readonly rows = computed(() =>
    (this.fade()?.pots ?? []).map((pot, i) => ({
      ...pot,
      number: i + 1,
      spoons: [
        { name: this.fade()?.names.from ?? '', ml: pot.ofFrom },
        { name: this.fade()?.names.to ?? '', ml: pot.ofTo },
      ].filter(({ ml }) => ml > 0),
      strewn: `${lengthFigure(pot.strewnFrom, this.memory.units())}–${lengthFigure(pot.strewnTo, this.memory.units())}`,
    })),
  );
  /** mixes of several jars are made first, so that the pots can be measured by the spoon */
  protected readonly first = computed(() => {
    const made = this.fade()?.madeFirst ?? [];
    return made.length > 0 ? `Make ${listText(made)} first; the pots take spoonfuls of it.` : '';
  });
  protected readonly unit = computed(() => (this.memory.units().length === 'mm' ? 'mm' : 'in'));

  protected lay(): void {
    const fade = this.fade();
    if (fade) this.laid.emit(fade.pots);
  }
}

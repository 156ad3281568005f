import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, linkedSignal, signal } from '@angular/core';
import { gramText, thicknessText } from '@aurantia/core';
import { addedWeight, sectionOf } from '@aurantia/core/section';
import { Chips, type Chip } from '../../../parts/chips/chips';
import { Choice } from '../../../parts/fields/choice';
import { OpenDesign } from '../../open-design';

/** px a mm to scale, and the least a coat is drawn with so that it can be told from its neighbours. */
const TRUE = 190;
const READABLE = { least: 26, more: 60 } as const;

/** The coats at one place, cut through: how thick each is, and what is seen once it is on. */
@Component({
  selector: 'au-cut-through',
  imports: [Chips, Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-through.html',
  styleUrl: './cut-through.scss',
})
export class CutThrough {
  private readonly open = inject(OpenDesign);
  protected readonly plan = this.open.plan;
  protected readonly place = linkedSignal<readonly string[], string>({
    source: () => this.plan().places.map(({ id }) => id),
    computation: (ids, before) => ids.find((id) => id === before?.value) ?? ids.at(0) ?? '/left-over',
  });
  protected readonly scales = [
    { value: 'readable' as const, name: 'each to be read' },
    { value: 'true' as const, name: 'to scale' },
  ];
  protected readonly scale = signal<'readable' | 'true'>('readable');
  protected readonly chips = computed<readonly Chip<string>[]>(() => {
    const places = this.plan().places.map(({ id, name }) => ({ id: id as string, name, on: id === this.place() }));
    return [...places, { id: '/left-over', name: 'left over', on: this.place() === '/left-over' }];
  });
  private readonly section = computed(() => sectionOf(this.plan(), this.place()));
  /** the topmost first, as it is seen */
  protected readonly layers = computed(() =>
    this.section()
      .layers.map((layer) => ({
        ...layer,
        thick: layer.mm >= 0.005 ? thicknessText(layer.mm) : layer.mm > 0 ? 'under 0.01 mm' : 'colour only',
        height: this.scale() === 'true' ? layer.mm * TRUE : READABLE.least + layer.mm * READABLE.more,
      }))
      .toReversed(),
  );
  protected readonly wall = computed(() => this.plan().bareWall);
  protected readonly all = computed(() => thicknessText(this.section().thickness));
  protected readonly weight = computed(() => gramText(addedWeight(this.plan())));
  protected readonly millimetre = TRUE;

  constructor() {
    // The cup beside it marks where it is cut.
    effect(() => this.open.cut.set(this.plan().places.find(({ id }) => id === this.place())?.area ?? null));
    inject(DestroyRef).onDestroy(() => this.open.cut.set(null));
  }

  protected choose(id: string): void {
    this.place.set(id);
  }
}

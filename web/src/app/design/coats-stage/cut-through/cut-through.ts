import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal, untracked } from '@angular/core';
import { BARE_BASE, gramText, LEFT_OVER, thicknessText } from '@aurantia/core';
import { addedWeight, BASE_SPOT, sectionAt, sectionOf, spotIn } from '@aurantia/core/section';
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
  protected readonly scales = [
    { value: 'readable' as const, name: 'each to be read' },
    { value: 'true' as const, name: 'to scale' },
  ];
  protected readonly scale = signal<'readable' | 'true'>('readable');
  private readonly section = computed(() => {
    const probe = this.open.probe();
    if (probe === 'base' || probe === null) return { place: BASE_SPOT, ...sectionOf(this.plan(), BARE_BASE) };
    return sectionAt(this.plan(), probe, this.open.design().cup.stations);
  });
  protected readonly place = computed(() => this.section().place);
  protected readonly chips = computed<readonly Chip<string>[]>(() => {
    const { places, areas } = this.plan();
    const now = this.place().id;
    return [
      ...places.map(({ id, name }) => ({ id: id as string, name, on: id === now })),
      ...(areas.leftOver.area > 0.05 ? [{ id: LEFT_OVER, name: 'left over', on: now === LEFT_OVER }] : []),
      ...(areas.bareBase > 0.05 ? [{ id: BARE_BASE, name: BASE_SPOT.name, on: now === BARE_BASE }] : []),
    ];
  });
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
    // The cup beside it shows the probe, and is where it is moved by hand.
    this.choose(untracked(this.plan).places.at(0)?.id ?? LEFT_OVER);
    inject(DestroyRef).onDestroy(() => this.open.probe.set(null));
  }

  protected choose(id: string): void {
    const { places, leftOver } = this.plan();
    const region = id === LEFT_OVER ? leftOver : places.find((one) => one.id === id)?.region;
    const spot = id === BARE_BASE ? 'base' : region && spotIn(region);
    if (spot) this.open.probe.set(spot);
  }
}

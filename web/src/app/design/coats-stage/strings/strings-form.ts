import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { layingWays, startingHeights, type CoatOf, type Design } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { Chips, type Chip } from '../../../parts/chips/chips';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { Tick } from '../../../parts/fields/tick';

const wayNames: Readonly<Record<(typeof layingWays)[number], string>> = {
  up: 'lines, foot to rim',
  round: 'rings',
  edge: 'along an edge',
  drops: 'drops',
};

/** Warm air as it begins: upwards, for as long as a hand takes once round. */
const AIR = { seconds: 20, towards: 0 } as const;

/** How strings are laid: which way, from where to where, with warm air or without. */
@Component({
  selector: 'au-strings-form',
  imports: [BUTTONS, Chips, NumberField, Pick, Tick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './strings-form.html',
  styleUrl: './strings-form.scss',
})
export class StringsForm {
  readonly coat = input.required<CoatOf<'strings'>>();
  readonly design = input.required<Design>();
  /** what is wrong, by the field it is told at */
  readonly refused = input.required<(field: string) => string | null>();
  /** fields set otherwise, and which of them says what is wrong with it */
  readonly coatChange = output<{ readonly change: Readonly<Record<string, unknown>>; readonly at: string }>();

  protected readonly ways = computed<readonly Chip<string>[]>(() =>
    layingWays.map((way) => ({ id: way, name: wayNames[way], on: way === this.coat().way })),
  );
  protected readonly edges = computed(() => this.design().areas.map(({ id, name }) => ({ value: id as string, name })));

  protected set(change: Readonly<Record<string, unknown>>, at = Object.keys(change)[0]): void {
    this.coatChange.emit({ change, at });
  }

  protected lay(way: string): void {
    // Along an edge means along one: the first there is, until another is chosen.
    const area = this.coat().area ?? this.edges().at(0)?.value ?? null;
    this.set(way === 'edge' ? { way, area } : { way });
  }

  protected bound(ends: boolean): void {
    this.set({ reach: ends ? startingHeights(this.design().cup) : null });
  }

  protected blow(blows: boolean): void {
    this.set({ air: blows ? AIR : null });
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { itemOf, type FadeStop, type PlannedBlend, type ShelfItemId } from '@aurantia/core';
import { MENUS } from '../../../parts/menus';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { JarFinding } from '../../../parts/jar-finder/jar-finding';
import { MaterialGlyph } from '../../../parts/glyphs/material-glyph';
import { WorkshopMemory } from '../../../services/workshop';
import { Tip } from '../../../parts/tip';
import { Icon } from '../../../parts/icons/icon';
import { BUTTONS } from '../../../parts/buttons';

/** What a maker changed of one stop. */
export type StopChange =
  | { readonly what: 'at'; readonly at: number }
  | { readonly what: 'parts'; readonly parts: FadeStop['parts'] }
  | { readonly what: 'cover'; readonly cover: number }
  | { readonly what: 'base'; readonly base: ShelfItemId | null }
  | { readonly what: 'gone' };

/** A change of a stop that wasn't taken, and why. */
export interface StopRefused {
  readonly what: StopChange['what'];
  readonly sentence: string;
}

/** One colour a fade goes through: its mix, how much of it, the paint under it. */
@Component({
  selector: 'au-fade-stop',
  imports: [BUTTONS, MENUS, MaterialGlyph, NumberField, Pick, Tip, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fade-stop.html',
  styleUrl: './fade-stop.scss',
})
export class FadeStopCard {
  private readonly memory = inject(WorkshopMemory);
  readonly number = input.required<number>();
  private readonly finding = inject(JarFinding);
  readonly stop = input.required<FadeStop>();
  /** hex of what lies under it */
  readonly under = input.required<string | null>();
  readonly others = input.required<readonly PlannedBlend[]>();
  /** one of the last two: it can't be taken out */
  readonly only = input(false);
  readonly refused = input<StopRefused | null>(null);
  readonly changed = output<StopChange>();

  protected readonly parts = computed(() =>
    this.stop().parts.map(({ item, ml }) => {
      const jar = itemOf(this.memory.shelf(), item, 'glitter');
      return { item, ml, name: jar?.name ?? 'gone from the shelf', colour: jar?.flake.colour ?? '#cccccc' };
    }),
  );
  protected readonly bases = computed(() => [
    { value: '', name: 'as the coats lay it' },
    ...this.memory.shelf().flatMap((item) => (item.kind === 'paint' ? [{ value: item.id as string, name: item.name }] : [])),
  ]);
  protected readonly why = (what: StopChange['what']): string | null => {
    const refused = this.refused();
    return refused?.what === what ? refused.sentence : null;
  };

  /** One jar more than these, if one is chosen. */
  protected async jar(beside: FadeStop['parts']): Promise<void> {
    const jar = await this.finding.choose({
      kind: 'glitter',
      without: this.stop().parts.map(({ item }) => item),
      lately: this.others().flatMap(({ parts }) => parts.map(({ item }) => item)),
    });
    if (jar) this.mix([...beside, { item: jar.id, ml: 1 }]);
  }

  protected mix(parts: readonly { readonly item: ShelfItemId; readonly ml: number }[]): void {
    this.changed.emit({ what: 'parts', parts: parts.map(({ item, ml }) => ({ item, ml })) });
  }

  protected amount(item: string, ml: number | null): void {
    this.changed.emit({
      what: 'parts',
      parts: this.stop().parts.map((part) => (part.item === item ? { ...part, ml: ml ?? 0 } : part)),
    });
  }

  protected out(item: string): void {
    this.changed.emit({ what: 'parts', parts: this.stop().parts.filter((part) => part.item !== item) });
  }

  protected base(id: string): void {
    this.changed.emit({ what: 'base', base: id === '' ? null : (id as ShelfItemId) });
  }
}

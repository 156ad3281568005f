import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import {
  baseWays,
  coatSchema,
  faultsOf,
  itemsOfCoat,
  startGrading,
  startingHeights,
  ungraded,
  type AreaId,
  type Coat,
  type CoatOf,
  type Design,
  type ShelfKind,
} from '@aurantia/core';
import { ColourField } from '../../parts/fields/colour-field';
import { NumberField } from '../../parts/fields/number-field';
import { OutlineField } from '../../parts/fields/outline-field';
import { JarField } from '../../parts/jar-finder/jar-field';
import { Tick } from '../../parts/fields/tick';
import { TextField } from '../../parts/fields/text-field';
import { Chips, type Chip } from '../../parts/chips/chips';
import { figureFields, idleFields } from './figure-fields';
import { MoreInks } from './more-inks/more-inks';
import { SurfaceInk } from './surface-ink/surface-ink';
import { StringsForm } from './strings/strings-form';

const labels: Readonly<Record<ShelfKind, string>> = {
  paint: 'Paint',
  ink: 'Ink',
  glue: 'Glue',
  glitter: 'Glitter',
  film: 'Film',
  resin: 'Resin',
};

const wayNames: Readonly<Record<(typeof baseWays)[number], string>> = {
  sprayed: 'sprayed',
  brushed: 'brushed',
  misted: 'misted specks',
};
/** Kinds whose ink is a powder. */
const powders: readonly Coat['kind'][] = ['pearl', 'buff', 'dab'];
const order = Object.keys(labels) as ShelfKind[];

/** What can be set on a coat: where it goes, what is used, how thick or how often. */
@Component({
  selector: 'au-coat-form',
  imports: [Chips, ColourField, NumberField, JarField, MoreInks, OutlineField, StringsForm, SurfaceInk, Tick, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './coat-form.html',
  styleUrl: './coat-form.scss',
})
export class CoatForm {
  readonly coat = input.required<Coat>();
  readonly design = input.required<Design>();
  readonly coatChange = output<Coat>();

  private readonly refused = linkedSignal<Coat, { field: string; sentence: string } | null>({
    source: this.coat,
    computation: () => null,
  });
  /** how paint goes on; of no other coat */
  protected readonly ways = computed<readonly Chip<string>[] | null>(() => {
    const coat = this.coat();
    return coat.kind === 'base' ? baseWays.map((way) => ({ id: way, name: wayNames[way], on: way === coat.way })) : null;
  });
  /** what of the shelf this coat is made with; a coat names each in the field of its kind */
  protected readonly choices = computed(() => {
    const coat = this.coat();
    // What a decal is cut from may be left open, and said later.
    const open = coat.kind === 'decal' && coat.film === null ? [{ kind: 'film' as const, id: '' }] : [];
    // Further inks of a pot have rows of their own.
    return [...itemsOfCoat(coat).filter(({ path }) => path.length === 1), ...open]
      .map(({ kind, id }) => ({
        field: kind,
        kind,
        now: id,
        label: coat.kind === 'paste' ? 'Paste' : kind === 'ink' && powders.includes(coat.kind) ? 'Pearl' : labels[kind],
      }))
      .toSorted((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
  });
  protected readonly figures = computed(() => {
    const coat: Readonly<Record<string, unknown>> = this.coat();
    const idle = idleFields(this.coat());
    const graded = coat['pots'] !== undefined;
    return figureFields.flatMap((one) => {
      const now = coat[one.field];
      const label = (graded ? one.graded : undefined) ?? one.of?.[this.coat().kind] ?? one.label;
      return typeof now === 'number' && !idle.has(one.field) ? [{ ...one, label, now }] : [];
    });
  });
  protected readonly places = computed<readonly Chip<AreaId | 'all'>[] | null>(() => {
    const coat = this.coat();
    if (!('on' in coat)) return null;
    const { on } = coat;
    const areas = this.design().areas.map(({ id, name }) => ({ id, name, on: on !== 'all' && on.includes(id) }));
    return [{ id: 'all', name: 'The whole cup', on: on === 'all' }, ...areas];
  });

  /** the heights it ends at; null of a coat that has none to end at */
  protected readonly heights = computed(() => {
    const coat = this.coat();
    return 'on' in coat && coat.kind !== 'outline' && coat.kind !== 'strings' ? { now: coat.between ?? null } : null;
  });

  protected readonly fadesBase = computed(() => this.design().fades.some(({ stops }) => stops.some(({ base }) => base !== null)));

  /** @param at which of its fields says what is wrong, where one value has several */
  protected set(field: string, value: unknown, at = field): void {
    this.setAll({ [field]: value }, at);
  }

  protected setAll(change: Readonly<Record<string, unknown>>, at: string): void {
    const read = coatSchema.safeParse({ ...this.coat(), ...change });
    if (read.success) {
      this.refused.set(null);
      this.coatChange.emit(read.data);
      return;
    }
    this.refused.set({ field: at, sentence: faultsOf(read.error)[0]?.sentence ?? 'This can’t be kept.' });
  }

  protected bound(ends: boolean): void {
    this.set('between', ends ? startingHeights(this.design().cup) : undefined);
  }

  protected grade(coat: CoatOf<'ink'>, changes: boolean): void {
    this.coatChange.emit(changes ? startGrading(coat) : ungraded(coat));
  }

  /** the same as a function to hand on */
  protected readonly whyOf = (field: string): string | null => this.why(field);

  protected why(field: string): string | null {
    const refused = this.refused();
    return refused?.field === field ? refused.sentence : null;
  }

  protected place(id: AreaId | 'all'): void {
    const coat = this.coat();
    if (!('on' in coat)) return;
    if (id === 'all') return this.set('on', 'all');
    const all = this.design().areas.map((area) => area.id);
    const now = coat.on === 'all' ? [] : coat.on;
    const next = now.includes(id) ? now.filter((one) => one !== id) : all.filter((one) => one === id || now.includes(one));
    this.set('on', next.length === 0 ? 'all' : next);
  }
}

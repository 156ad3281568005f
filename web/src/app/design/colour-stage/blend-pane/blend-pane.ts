import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MENUS } from '../../../parts/menus';
import {
  amountText,
  amountUnit,
  itemOf,
  percentText,
  withBlendFrom,
  withFactor,
  withoutPart,
  withJar,
  coveringBlend,
  withPartMl,
  withParts,
  type AreaId,
  type Design,
  type PlannedBlend,
  type PlannedPart,
  type ShelfItemId,
} from '@aurantia/core';
import { AmountStepper } from '../../../parts/fields/amount-stepper';
import { NumberField } from '../../../parts/fields/number-field';
import { SharePipe } from '../../../parts/fields/unit-pipes';
import { MaterialGlyph } from '../../../parts/glyphs/material-glyph';
import { WorkshopMemory } from '../../../services/workshop';
import { FindingNote } from '../../finding-note/finding-note';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';
import { LeftoverMix } from '../leftover-mix/leftover-mix';
import { ScaleBlend } from '../scale-blend/scale-blend';
import { JarFinding } from '../../../parts/jar-finder/jar-finding';
import { Tip } from '../../../parts/tip';
import { Icon } from '../../../parts/icons/icon';
import { Word } from '../../../parts/word/word';
import { BUTTONS } from '../../../parts/buttons';
import { TABLE } from '../../../parts/table';
import { Switch } from '../../../parts/fields/switch';

const kindWords = { solid: 'opaque', tinted: 'see-through', opal: 'opal' } as const;

/** The chosen area's blend, jar by jar: what is measured, and what faces you. */
@Component({
  selector: 'au-blend-pane',
  imports: [
    BUTTONS,
    TABLE,
    Switch,
    MENUS,
    AmountStepper,
    NumberField,
    MaterialGlyph,
    FindingNote,
    LeftoverMix,
    ScaleBlend,
    SharePipe,
    Tip,
    Icon,
    Word,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './blend-pane.html',
  styleUrl: './blend-pane.scss',
})
export class BlendPane {
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly finding = inject(JarFinding);
  protected readonly open = inject(OpenDesign);
  /** null where the area has none yet */
  readonly blend = input.required<PlannedBlend | null>();
  /** whether a jar of it is gone and something may be found in its place */
  readonly replacing = input(false);
  readonly wanted = output();

  protected readonly columns = ['jar', 'cut', 'pour', 'face', 'out'] as const;
  /** a row stays while its amount changes, and the field in it keeps the focus */
  protected readonly byJar = (_: number, { part }: { readonly part: PlannedPart }): string => part.item;
  protected readonly refused = signal<{ item: string; sentence: string } | null>(null);
  protected readonly unit = computed(() => amountUnit(this.memory.units()));
  /** ml of one part, while amounts are read in parts; each area starts in the maker's unit */
  protected readonly onePart = linkedSignal<string | null, number | null>({
    source: this.open.chosenArea,
    computation: () => null,
  });
  protected readonly partWrong = signal<string | null>(null);
  protected readonly rows = computed(() => {
    const shelf = this.memory.shelf();
    return (this.blend()?.parts ?? []).map((part) => {
      const jar = itemOf(shelf, part.item, 'glitter');
      const gone = itemOf(this.memory.gone(), part.item, 'glitter');
      if (jar)
        return { part, name: part.name, what: `${jar.typical ? 'typical, ' : ''}${kindWords[jar.flake.kind]}, ${jar.finish}` };
      return { part, name: gone?.name ?? 'Unknown jar', what: 'no longer on the shelf' };
    });
  });
  protected readonly sources = computed(() => this.open.plan().blends.filter(({ area }) => area !== this.open.chosenArea()));
  protected readonly findings = computed(() =>
    this.open.plan().findings.filter((finding) => finding.area !== null && finding.area === this.open.chosenArea()),
  );
  protected readonly total = computed(() => {
    const blend = this.blend();
    return blend ? amountText(blend.ml, this.memory.units(), blend.ml > 0 ? blend.grams / blend.ml : 1) : '';
  });
  /** one press from patchy to covered, where the glue can hold it */
  protected readonly covering = computed(() => {
    const blend = this.blend();
    const covering = blend && coveringBlend(blend, this.memory.shelf(), this.memory.settings().spoonStep);
    if (!blend || !covering) return null;
    const { parts, ml } = covering;
    const amount = amountText(ml, this.memory.units(), blend.ml > 0 ? blend.grams / blend.ml : 1);
    return { parts: [...parts], label: `Pour ${amount}: about ${percentText(1 - blend.forCover.share)} bare` };
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
    return `${pours}; the glue keeps ${held} of it, the rest is excess and goes back.${more}`;
  });

  protected async add(): Promise<void> {
    const blend = this.blend();
    const jar = await this.finding.choose({
      kind: 'glitter',
      without: blend?.parts.map(({ item }) => item) ?? [],
      lately: this.open.design().blends.flatMap(({ parts }) => parts.map(({ item }) => item)),
      near: blend?.seen ?? null,
      nearWhat: 'this blend',
    });
    if (jar) this.onArea((design, area) => withJar(design, area, jar.id, this.memory.workshop()));
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

  private onArea(edit: (design: Design, area: AreaId) => Design): string | null {
    const area = this.open.chosenArea() as AreaId | null;
    return area === null ? null : this.session.change((design) => edit(design, area));
  }
}

import type { ShelfItem, ShelfKind } from '../stock';

/** How a cell is read: as words, as a figure (with a factor to the item's own unit), as a colour, as cuts with shares, as yes or no. */
export type ColumnRead = 'words' | 'colour' | 'cuts' | 'yes or no' | number;

/** One thing a table of the shelf can say of an item. */
export interface ShelfColumn {
  /** heads the column in a file of ours */
  readonly name: string;
  /** what a maker is shown: words, with the unit */
  readonly words: string;
  /** what figures in it are counted in, empty for none */
  readonly unit: string;
  /** where it stands in the item */
  readonly path: string;
  readonly kinds: readonly ShelfKind[];
  readonly read: ColumnRead;
  /** what others call it, to guess by; words a heading contains */
  readonly hints: readonly string[];
}

const all: readonly ShelfKind[] = ['glitter', 'ink', 'paint', 'resin', 'glue', 'film'];
/** what is counted in ml */
const poured = all.filter((kind) => kind !== 'film');
const column = (
  name: string,
  path: string,
  kinds: readonly ShelfKind[],
  read: ColumnRead,
  hints: readonly string[] = [],
): ShelfColumn => ({ name, path, kinds, read, hints, ...wordsOf(name) });

const unitNames: Readonly<Record<string, string>> = {
  mm: 'mm',
  um: 'µm',
  ml: 'ml',
  min: 'min',
  percent: '%',
  sheets: 'sheets',
  months: 'months',
};
const spelled: Readonly<Record<string, string>> = {
  ratio_a: 'parts of A',
  ratio_b: 'parts of B',
  ink_type: 'kind of ink',
  ink_sort: 'sort of ink',
  film_type: 'kind of film',
};

/** `opacity_percent` is a heading for machines; a maker reads “opacity, %”. */
function wordsOf(name: string): { readonly words: string; readonly unit: string } {
  const weight = /^(.*)_g_per_ml$/.exec(name);
  if (weight) return { words: `${weight[1] === 'flake' ? 'flake' : weight[1].toUpperCase()} weighs, g/ml`, unit: '' };
  const [, stem = name, suffix = ''] = /^(.*)_(mm|um|ml|min|percent|sheets|months)$/.exec(name) ?? [];
  const words = spelled[name] ?? stem.replace(/_/g, ' ');
  return suffix === '' ? { words, unit: '' } : { words: `${words}, ${unitNames[suffix]}`, unit: unitNames[suffix] };
}

/** Every column, in the order they are written. */
export const shelfColumns: readonly ShelfColumn[] = [
  column('kind', 'kind', all, 'words', ['type of item', 'category', 'material']),
  column('name', 'name', all, 'words', ['title', 'product', 'item', 'label']),
  column('colour', 'colour', ['glitter', 'ink', 'paint', 'film'], 'colour', ['color', 'hex', 'farbe']),
  column('cut_mm', 'flake.cut', ['glitter'], 1, ['cut', 'size', 'mm']),
  column('other_cuts', 'flake.mixed', ['glitter'], 'cuts', ['mixed']),
  column('flakes', 'flake.kind', ['glitter'], 'words', ['transparency']),
  column('finish', 'finish', ['glitter'], 'words', ['effect']),
  column('opacity_percent', 'flake.opacity', ['glitter'], 0.01, ['opacity']),
  column('thickness_um', 'flake.thickness', ['glitter'], 1, ['thickness', 'micron']),
  column('solid_percent', 'flake.solidShare', ['glitter'], 0.01, ['solid']),
  column('flake_g_per_ml', 'flake.density', ['glitter'], 1, ['density']),
  column('basis', 'basis', ['glitter', 'ink'], 'words'),
  column('left_ml', 'left', poured, 1, ['left', 'stock', 'amount', 'quantity', 'ml']),
  column('paid', 'paid', all, 1, ['price', 'cost']),
  column('full_ml', 'full', poured, 1, ['full', 'volume', 'content']),
  column('opened', 'opened', all, 'words', ['date']),
  column('lot', 'lot', all, 'words', ['batch', 'charge']),
  column('note', 'note', all, 'words', ['comment', 'remark', 'description']),
  column('ink_sort', 'sort', ['ink'], 'words'),
  column('ink_type', 'type', ['ink'], 'words'),
  column('solvent', 'solvent', ['ink'], 'yes or no', ['alcohol']),
  column('hiding_percent', 'hiding', ['ink'], 0.01, ['strength']),
  column('load_percent', 'referenceLoad', ['ink'], 1, ['load']),
  column('film_mm', 'referenceFilm', ['ink'], 1),
  column('drop_ml', 'dropMl', ['ink'], 1, ['drop']),
  column('sure_colour', 'sure.colour', ['ink'], 1),
  column('sure_strength_percent', 'sure.strength', ['ink'], 0.01),
  column('learnt_before', 'learnt.before', ['ink', 'resin', 'glue'], 1),
  column('learnt_spread_percent', 'learnt.spread', ['ink', 'resin', 'glue'], 0.01),
  column('learnt_from', 'learnt.from', ['ink', 'resin', 'glue'], 1),
  column('dry_min', 'dryMinutes', ['paint', 'glue'], 1, ['dry']),
  column('ratio_a', 'ratio.0', ['resin'], 1),
  column('ratio_b', 'ratio.1', ['resin'], 1),
  column('ratio_by', 'ratioBy', ['resin'], 'words'),
  column('a_g_per_ml', 'density.0', ['resin'], 1),
  column('b_g_per_ml', 'density.1', ['resin'], 1),
  column('pot_life_min', 'potLife', ['resin'], 1, ['pot life']),
  column('pace', 'pace', ['resin'], 1),
  column('tacky_from_min', 'tackFrom', ['resin'], 1),
  column('tacky_until_min', 'tackUntil', ['resin'], 1),
  column('sand_after_min', 'sandAfter', ['resin'], 1, ['sand']),
  column('keeps_months', 'keeps', ['resin'], 1),
  column('way', 'way', ['glue'], 'words'),
  column('hold', 'hold', ['glue'], 1),
  column('open_from_min', 'open.0', ['glue'], 1),
  column('open_until_min', 'open.1', ['glue'], 1),
  column('left_sheets', 'left', ['film'], 1, ['sheets']),
  column('full_sheets', 'full', ['film'], 1),
  column('film_type', 'type', ['film'], 'words'),
  column('width_mm', 'width', ['film'], 1, ['width']),
  column('length_mm', 'length', ['film'], 1, ['length']),
  column('film_um', 'thickness', ['film'], 1),
];

/** Where a column's value stands in an item of a kind; a glitter's colour is its flakes'. */
const pathIn = ({ path }: ShelfColumn, kind: ShelfKind): readonly string[] =>
  (path === 'colour' && kind === 'glitter' ? 'flake.colour' : path).split('.');

export const cellOf = (item: ShelfItem, one: ShelfColumn): unknown =>
  one.kinds.includes(item.kind)
    ? pathIn(one, item.kind).reduce<unknown>((holder, step) => (holder as Record<string, unknown> | null)?.[step], item)
    : undefined;

/** The item with one cell set; the item itself stays as it was. */
export function withCell(item: ShelfItem, one: ShelfColumn, value: unknown): ShelfItem {
  const set = (holder: unknown, [step, ...further]: readonly string[]): unknown => {
    if (step === undefined) return value;
    if (Array.isArray(holder) || /^\d$/.test(step)) {
      const list = Array.isArray(holder) ? [...(holder as unknown[])] : [];
      list[Number(step)] = set(list[Number(step)], further);
      return list;
    }
    return { ...(holder as object), [step]: set((holder as Record<string, unknown> | null)?.[step], further) };
  };
  return set(item, pathIn(one, item.kind)) as ShelfItem;
}

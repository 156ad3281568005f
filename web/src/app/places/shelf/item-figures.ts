import { groupOf, type Measure, type ShelfItem } from '@aurantia/core';

/** A figure of a shelf item that can be typed: where it stands in the item, and how it is read. */
export interface ItemFigure {
  readonly path: string;
  readonly label: string;
  readonly unit?: string;
  readonly measure?: Measure;
  readonly digits?: number;
}

const figures: Record<ShelfItem['kind'], readonly ItemFigure[]> = {
  glitter: [
    { path: 'flake.cut', label: 'Cut', unit: 'mm' },
    { path: 'flake.opacity', label: 'Opacity', measure: 'percent' },
    { path: 'flake.thickness', label: 'Flake thickness', unit: 'µm' },
    { path: 'flake.solidShare', label: 'Solid in a spoon', measure: 'percent' },
    { path: 'flake.density', label: 'Flake weighs, g/ml' },
  ],
  ink: [
    { path: 'hiding', label: 'Hiding or strength', measure: 'percent' },
    { path: 'referenceLoad', label: 'Shows colour at', unit: '%' },
    { path: 'referenceFilm', label: 'in a film of', unit: 'mm' },
    { path: 'dropMl', label: 'One drop', unit: 'ml', digits: 3 },
  ],
  film: [
    { path: 'width', label: 'Sheet, wide', unit: 'mm' },
    { path: 'length', label: 'and long', unit: 'mm' },
    { path: 'thickness', label: 'Thick', unit: 'µm' },
  ],
  paint: [{ path: 'dryMinutes', label: 'Dry after', unit: 'min' }],
  resin: [
    { path: 'ratio.0', label: 'Parts of A' },
    { path: 'ratio.1', label: 'Parts of B' },
    { path: 'density.0', label: 'A weighs, g/ml' },
    { path: 'density.1', label: 'B weighs, g/ml' },
    { path: 'viscosity', label: 'Viscosity', unit: 'mPa·s' },
    { path: 'potLife', label: 'Pot life', unit: 'min' },
    { path: 'tackFrom', label: 'Tacky from', unit: 'min' },
    { path: 'tackUntil', label: 'Tacky until', unit: 'min' },
    { path: 'sandAfter', label: 'Sand after', unit: 'min' },
    { path: 'keeps', label: 'Keeps once open', unit: 'months' },
  ],
  glue: [
    { path: 'hold', label: 'Holds, flakes deep' },
    { path: 'open.0', label: 'Open from', unit: 'min' },
    { path: 'open.1', label: 'until', unit: 'min' },
    { path: 'dryMinutes', label: 'Dry after', unit: 'min' },
  ],
};

type Json = Readonly<Record<string, unknown>> | readonly unknown[];
const inside = (holder: unknown, step: string): unknown => (holder as Record<string, unknown> | null)?.[step];

export const figureAt = (item: ShelfItem, path: string): number | null =>
  (path.split('.').reduce<unknown>(inside, item) as number | undefined) ?? null;

/** The figures an item has, with what they are now; a glue that stays sticky has no open time. */
export function figuresOf(item: ShelfItem): readonly (ItemFigure & { readonly value: number | null; readonly fault: string })[] {
  return figures[item.kind]
    .map((figure) => (groupOf(item) === 'pearl' && figure.path === 'dropMl' ? { ...figure, label: 'One level scoop' } : figure))
    .filter(({ path }) => !(item.kind === 'glue' && item.open === null && path.startsWith('open')))
    .map((figure) => ({ ...figure, value: figureAt(item, figure.path), fault: figure.path.replace(/\.(\d)/, '[$1]') }));
}

/** The item with one figure changed; nothing else of it moves. */
export function withFigure(item: ShelfItem, path: string, value: number): ShelfItem {
  return changed(item, path.split('.'), value) as ShelfItem;
}

function changed(holder: unknown, [step, ...further]: readonly string[], value: number): unknown {
  if (step === undefined) return value;
  const next = changed(inside(holder, step), further, value);
  return Array.isArray(holder)
    ? holder.map((old, at) => (String(at) === step ? next : old))
    : { ...(holder as Json), [step]: next };
}

import type { Coat, Measure } from '@aurantia/core';
import type { Term } from '@aurantia/core/glossary';

type AnyField = Coat extends infer One ? (One extends Coat ? keyof One : never) : never;

/** How a figure of a coat is asked for. */
export interface FigureField {
  readonly field: AnyField;
  readonly label: string;
  readonly unitName?: string;
  readonly measure?: Measure;
  readonly word?: Term;
  /** what it is called of coats where that says more */
  /** what it is called of a coat whose load changes on the way up */
  readonly graded?: string;
  readonly of?: Partial<Record<Coat['kind'], string>>;
}

/** Every figure that coats have, in the order they are asked for; a coat shows those that are its own. */
export const figureFields: readonly FigureField[] = [
  { field: 'passes', label: 'How many coats' },
  { field: 'thickness', label: 'Film', unitName: 'mm', word: 'film' },
  { field: 'load', label: 'Load, of the resin', graded: 'Load at its lower end', unitName: '%', word: 'load' },
  { field: 'upper', label: 'Load at its upper end', unitName: '%' },
  { field: 'pots', label: 'Pots' },
  { field: 'ml', label: 'Held back for it', unitName: 'ml', of: { crackle: 'Thinned ink' } },
  { field: 'thinned', label: 'Thinner to 1 of ink' },
  { field: 'drops', label: 'Drops of ink 1' },
  { field: 'count', label: 'Lines or drops, in all' },
  { field: 'rest', label: 'Laid after mixing', unitName: 'min' },
  { field: 'slope', label: 'Slope to the right', unitName: '°' },
  { field: 'wander', label: 'Wanders by', measure: 'length' },
  { field: 'lean', label: 'Rim lower by', unitName: '°' },
  { field: 'flakes', label: 'Flakes a cm²' },
  { field: 'share', label: 'Covers', unitName: '%' },
  { field: 'gap', label: 'Gap to cover', measure: 'length' },
  { field: 'width', label: 'Width', measure: 'length', of: { grain: 'Width of a streak' } },
  { field: 'knots', label: 'Knots' },
  { field: 'cell', label: 'Folds apart', measure: 'length' },
  { field: 'across', label: 'A drop spreads', measure: 'length' },
  { field: 'lands', label: 'Of it lands', unitName: '%' },
  { field: 'height', label: 'Height', measure: 'length' },
  { field: 'length', label: 'Cut to', measure: 'length' },
  { field: 'centre', label: 'Centre above the foot', measure: 'length' },
  { field: 'angle', label: 'Centre from the seam', unitName: '°' },
  { field: 'times', label: 'How many, evenly round' },
  { field: 'raised', label: 'Stands up', unitName: 'mm' },
  { field: 'hours', label: 'Rest', unitName: 'h' },
];

/** Figures that say nothing the way a coat is laid: drops have no width, rings no slope. */
export function idleFields(coat: Coat): ReadonlySet<string> {
  if (coat.kind !== 'strings') return new Set();
  return new Set([...(coat.way === 'up' ? [] : ['slope']), ...(coat.way === 'drops' ? ['width', 'wander'] : [])]);
}

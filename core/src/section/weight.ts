import type { Plan } from '../plan';

/** g of a ml of dry paint, glue and powder: acrylic with its pigments. */
const DRY_PAINT = 1.3;
/** The part of a wet paint or glue that stays on the cup, mist gone past it counted. */
const STAYS = 0.2;

/** g that all coats add to a cup: the resin that is spread, the glitter that is held, and what dries of paint and glue. */
export function addedWeight({ coats }: Pick<Plan, 'coats'>): number {
  const resin = coats.reduce(
    (sum, { mix }) => sum + (mix ? (mix.film + mix.fill + mix.held) * ((mix.aGrams + mix.bGrams) / mix.mix) : 0),
    0,
  );
  const glitter = coats.flatMap(({ pours }) => pours).reduce((sum, { grams, castOff }) => sum + grams * (1 - castOff), 0);
  const wet = coats
    .flatMap(({ uses }) => uses)
    .reduce((sum, { kind, amount }) => (kind === 'paint' || kind === 'glue' ? sum + amount : sum), 0);
  return resin + glitter + wet * STAYS * DRY_PAINT;
}

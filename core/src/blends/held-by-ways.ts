import { CHUNKY, keptDepth } from '../glitter';
import { glueWayFacts, glueWays, type GlueWay, type ShelfItem } from '../stock';
import type { PlannedBlend } from './blend-outcome';

/** What becomes of a pour on one way of glue. */
export interface HeldByWay {
  readonly way: GlueWay | 'in resin';
  readonly title: string;
  /** flakes deep it holds a pass; null when all of it stays */
  readonly hold: number | null;
  /** ml of one pour that stays, and the share that is cast off */
  readonly lands: number;
  readonly castOff: number;
  /** share left bare after one pass */
  readonly bare: number;
  readonly openFor: string;
  /** why this blend isn't for it; null when it is */
  readonly against: string | null;
}

/**
 * One pour of a blend on every way of glue, the one that keeps most first. A glue on the shelf says what it
 * holds; for the others it is what is usual.
 */
export function heldByWays(blend: PlannedBlend, shelf: readonly ShelfItem[]): readonly HeldByWay[] {
  const coarse = blend.parts.some(({ cut }) => (cut ?? 0) >= CHUNKY);
  const rows = glueWays.map((way): HeldByWay => {
    const facts = glueWayFacts[way];
    const own = shelf.find((item) => item.kind === 'glue' && item.way === way);
    const hold = own?.kind === 'glue' ? own.hold : facts.hold;
    const kept = keptDepth(blend.poured, hold);
    return {
      way,
      title: facts.title,
      hold,
      lands: blend.poured > 0 ? (blend.ml * kept) / blend.poured : 0,
      castOff: blend.poured > 0 ? 1 - kept / blend.poured : 0,
      bare: Math.exp(-kept),
      openFor: facts.openFor,
      against: coarse && !facts.chunky ? 'not for flakes this coarse' : null,
    };
  });
  const stirred: HeldByWay = {
    way: 'in resin',
    title: 'Stirred into resin',
    hold: null,
    lands: blend.ml,
    castOff: 0,
    bare: Math.exp(-blend.poured),
    openFor: 'pot life',
    against: blend.poured > 1 ? 'for sparse scatter, not for cover' : null,
  };
  return [stirred, ...rows.sort((one, other) => other.lands - one.lands)];
}

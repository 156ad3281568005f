import { isFilm, type CoatKindName } from '../../design';
import { potLifeAt, spreadMinutes } from '../../resin';
import { batchFor } from '../../coats';
import { itemOf } from '../../stock';
import { amountText, durationText } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

/** What leaves a ground that resin grips by itself. */
const ROUGH: readonly CoatKindName[] = ['glue', 'glitter', 'sprinkle', 'buff', 'dab', 'paper', 'foil', 'paste'];

/** Resin on cured resin that was left glossy: the window to recoat has closed and nothing was sanded. */
export const recoatWindow: Rule = {
  name: 'recoat window',
  find: (facts) =>
    stepsOfKind(facts, 'resin', 'ink').flatMap(({ coat, index }) => {
      const before = facts.steps.slice(0, index);
      const film = before.findLastIndex((step) => isFilm(step.coat));
      if (film < 0) return [];
      // Strings are of the film that they lie in.
      const between = before.slice(film + 1).filter((step) => step.coat.kind !== 'strings');
      // Laid on at once it bonds by itself; other coats between were told to wait until it can be sanded.
      if (between.length === 0 || between.some(({ coat: { kind } }) => kind === 'sand' || kind === 'rim')) return [];
      // On flakes, dabbed pearl or paper there is no gloss to sand.
      if (between.some(({ coat: { kind } }) => ROUGH.includes(kind))) return [];
      const rested = between.some(({ coat: { kind } }) => kind === 'rest');
      return [
        {
          level: rested ? ('look' as const) : ('tip' as const),
          coat: coat.id,
          area: null,
          says: 'This coat goes on resin that has cured and wasn’t sanded.',
          why: 'Between tack and sanding resin bonds badly and can come off in a sheet. Sand and wash, or lay it inside the tack window.',
          fix: { does: 'insert coat' as const, label: 'Sand and wash before it', kind: 'sand' as const, before: coat.id },
        },
      ];
    }),
};

/** Sanding where nothing is cured yet. */
export const sandCured: Rule = {
  name: 'sand cured resin only',
  find: (facts) =>
    stepsOfKind(facts, 'sand').flatMap(({ coat, index }) => {
      const before = facts.steps.slice(0, index);
      if (before.some((step) => isFilm(step.coat) || step.coat.kind === 'paste')) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: 'There is no cured resin to sand yet.',
          why: 'Paint and raw flakes come off under the paper. The bare wall is scuffed by “Prepare”.',
          fix: { does: 'remove coat' as const, label: 'Take it out', coat: coat.id },
        },
      ];
    }),
};

/** A mix that goes off before it is on the cup. */
export const mixInTime: Rule = {
  name: 'mix that goes off too soon',
  find: (facts) => {
    const { celsius, units } = facts.workshop.settings;
    return stepsOfKind(facts, 'resin', 'ink').flatMap(({ coat, planned }) => {
      const resin = itemOf(facts.workshop.shelf, coat.resin, 'resin');
      if (!resin || !planned.mix || !planned.area) return [];
      const lasts = potLifeAt(resin.potLife, planned.mix.mix, celsius);
      const needs = spreadMinutes(planned.area);
      if (lasts >= needs) return [];
      const grams = (planned.mix.aGrams + planned.mix.bGrams) / planned.mix.mix;
      const batch = batchFor(
        { area: planned.area, thickness: coat.thickness, fill: planned.mix.fill, held: planned.mix.held },
        resin,
        facts.workshop.settings,
      );
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `${amountText(planned.mix.mix, units, grams)} of ${resin.name} go off after ${durationText(lasts)}; spreading takes about ${durationText(needs)}.`,
          why: batch.inTime
            ? `A large warm mix hardens in its pot. Mix it in ${batch.pots} pots, one after the other: each lasts ${durationText(batch.lasts)} and is on within ${durationText(batch.takes)}.`
            : 'Even a small pot goes off before it is on, in a room as warm as this. Take a slower resin, or cool the room.',
          fix: null,
        },
      ];
    });
  },
};

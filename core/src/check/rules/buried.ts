import { OVER_FLAKES, standingFlakes } from '../../resin';
import { countText, listText, thicknessText } from '../../units';
import { placesOfArea, stepsOfKind, type Rule } from '../finding';

/** mm that sanding between coats takes off. */
const SANDED = 0.1;
/** mm of a further coat. */
const FILM = 0.4;

/** Flakes that are felt when all is done: too little resin lies over the highest of them. */
export const buried: Rule = {
  name: 'flakes not buried',
  find: (facts) => {
    const last = facts.steps.at(-1);
    const films = stepsOfKind(facts, 'resin', 'ink');
    const closing = films.at(-1);
    if (!last || !closing) return [];
    // What was sanded before the last flakes came took nothing off what lies over them.
    const poured = facts.steps.findLastIndex(({ coat }) => coat.kind === 'glitter' || coat.kind === 'sprinkle');
    const since = facts.steps.slice(Math.max(poured, films[0].index), closing.index);
    const sanded = since.some(({ coat }) => coat.kind === 'sand') ? SANDED : 0;
    const short = facts.areas.areas.flatMap(({ id, name, area }) => {
      if (area <= 0) return [];
      const lacks = placesOfArea(facts, id).map((place) => {
        const { bed, cover, rawMicrons } = last.after[place];
        // What no resin closes at all is another rule's.
        return bed === null || rawMicrons > 0 || cover === 0 ? 0 : OVER_FLAKES + sanded + standingFlakes(bed) - cover;
      });
      const most = Math.max(...lacks);
      return most > 1e-9 ? [{ name, most }] : [];
    });
    if (short.length === 0) return [];
    const most = Math.max(...short.map((one) => one.most));
    return [
      {
        level: 'look' as const,
        coat: closing.coat.id,
        area: null,
        says: `The flakes on ${listText(short.map(({ name }) => name))} will be felt: ${thicknessText(most)} of resin is missing over the highest.`,
        why: `It takes ${OVER_FLAKES} mm over them${sanded > 0 ? ', and what sanding takes off' : ''}: ${countText(Math.ceil(most / FILM), 'more coat')} of ${thicknessText(FILM)}.`,
        fix: {
          does: 'insert coat' as const,
          label: 'Add a clear coat',
          kind: 'resin' as const,
          before: facts.steps.at(closing.index + 1)?.coat.id ?? null,
        },
      },
    ];
  },
};

import { isFilm, type CoatKindName } from '../../design';
import { listText, thicknessText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Found, type Rule } from '../finding';

/** Ways that are laid again before they are dry. */
const RESPRAYED = ['spray adhesive', 'clear spray'];
/** mm of a coat that dry pearl is still drawn out on. */
const VERY_THIN = 0.2;

/** What ends the time that glue is open. */
const CLOSING: readonly CoatKindName[] = ['seal', 'resin', 'ink', 'rest'];

/** A second coat of glue on a first that is still wet. */
export const glueOnSoftGlue: Rule = {
  name: 'glue on soft glue',
  find: (facts) =>
    stepsOfKind(facts, 'glue').flatMap(({ coat, before, after }) => {
      const soft = areasWhere(facts, (place) => {
        const { glue } = before[place];
        return glue !== null && !RESPRAYED.includes(glue.way) && reaches(facts, coat, place) && after[place].glue !== null;
      });
      if (soft.length === 0) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `Glue goes on glue that is still soft on ${listText(soft)}.`,
          why: 'The brush pulls the first coat up in strings. Lay the second on a dry first, or leave it out: what holds is the last one.',
          fix: { does: 'remove coat' as const, label: 'Take this glue out', coat: coat.id },
        },
      ];
    }),
};

/** Glue that nothing is stuck into. */
export const glueForNothing: Rule = {
  name: 'glue for nothing',
  find: (facts) => {
    const last = facts.steps.at(-1);
    const sprinkled = stepsOfKind(facts, 'sprinkle').map(({ coat }) => coat);
    // Glue that is open to the end, or that something closes over before anything went into it.
    const wasted = (place: string) =>
      last?.after[place].glue !== null ||
      facts.steps.some(({ coat, before, after }) => CLOSING.includes(coat.kind) && before[place].glue && !after[place].glue);
    const open = last
      ? areasWhere(facts, (place) => wasted(place) && !sprinkled.some((coat) => reaches(facts, coat, place)))
      : [];
    if (open.length === 0) return [];
    // While nothing is mixed yet there is nothing that could be stuck.
    if (facts.design.blends.every(({ parts }) => parts.length === 0) && facts.design.fades.length === 0) return [];
    const glue = facts.steps.findLast(({ coat }) => coat.kind === 'glue');
    return [
      {
        level: 'look',
        coat: glue?.coat.id ?? null,
        area: null,
        says: `No glitter goes into the glue on ${listText(open)}.`,
        why: 'Open glue stays a little sticky under the resin and clouds it. Glue only the areas that glitter goes on.',
        fix: null,
      },
    ];
  },
};

/** What comes just before a coat, leaving out what is laid into the same soft coat. */
const into: readonly CoatKindName[] = ['glitter', 'press', 'sprinkle', 'buff', 'strings', 'dab', 'unmask'];

/** Flakes or pearl meant for a coat that is no longer soft. */
export const intoSoftCoat: Rule = {
  name: 'into a soft coat',
  find: (facts) =>
    stepsOfKind(facts, 'sprinkle', 'buff', 'dab').flatMap(({ coat, index, planned, before }): readonly Found[] => {
      const under = facts.steps.slice(0, index).findLast((step) => !into.includes(step.coat.kind))?.coat;
      const film = under && isFilm(under) ? under.thickness : null;
      if (coat.kind === 'dab') {
        if (film !== null && film <= VERY_THIN) return [];
        return [
          {
            level: film === null ? ('stop' as const) : ('look' as const),
            coat: coat.id,
            area: null,
            says:
              film === null
                ? `No wet resin lies under “${planned.title}”.`
                : `${thicknessText(film)} of resin is deep for dabbed pearl.`,
            why: `Dry pearl is drawn out on a very thin, warm, wet coat: ${thicknessText(VERY_THIN)} at most. On a dry one it stays a patch, in a deep one it sinks.`,
            fix:
              film !== null && under
                ? {
                    does: 'set figure' as const,
                    label: `Make it ${thicknessText(VERY_THIN / 2)}`,
                    coat: under.id,
                    figure: 'thickness' as const,
                    value: VERY_THIN / 2,
                  }
                : null,
          },
        ];
      }
      const glued = areasWhere(facts, (place) => reaches(facts, coat, place) && before[place].glue !== null).length > 0;
      if (glued || (coat.kind === 'sprinkle' && film !== null)) return [];
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says: `Nothing soft lies under “${planned.title}”.`,
          why:
            coat.kind === 'buff'
              ? 'Pearl is rubbed into tacky glue; off a dry wall it is wiped again.'
              : 'Flakes stay only in a coat that is still wet.',
          fix: { does: 'insert coat' as const, label: 'Add glue before it', kind: 'glue' as const, before: coat.id },
        },
      ];
    }),
};

import { itemOf, mixWeight } from '../../stock';
import { RUNS_OVER, runLimit } from '../../resin';
import { countText, thicknessText, tidy } from '../../units';
import { circumferenceAt, heightOf } from '../../vessel';
import { stepsOfKind, type Facts, type Rule } from '../finding';

/** The usual film, and the step a thinner one is offered in, mm. */
const USUAL = 0.4;
const STEP = 0.05;
/** What is thinner than this share of the cup's widest is its stem. */
const STEM = 0.5;

/** Films that run to the foot: thicker than makers lay, or than this resin is carried on this cup by this turner. */
export const thickFilm: Rule = {
  name: 'film that runs',
  find: (facts) =>
    stepsOfKind(facts, 'resin', 'ink').flatMap(({ coat }) => {
      const carried = carriedFilm(facts, coat.resin);
      const most = Math.min(RUNS_OVER, carried);
      if (coat.thickness <= most) return [];
      const thickness = tidy(Math.min(USUAL, Math.floor((0.9 * most) / STEP + 1e-9) * STEP));
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says: `A film of ${thicknessText(coat.thickness)} at once runs to the foot.`,
          why:
            carried < RUNS_OVER
              ? `At ${countText(facts.workshop.settings.rpm, 'turn')} a minute this cup carries ${thicknessText(carried)} of this resin. Turn faster, or lay thinner coats.`
              : 'Over 0.8 mm resin is heavier than its own grip; two thinner coats lie smooth.',
          fix:
            thickness >= STEP
              ? {
                  does: 'set figure' as const,
                  label: `Make it ${thicknessText(thickness)}`,
                  coat: coat.id,
                  figure: 'thickness' as const,
                  value: thickness,
                }
              : null,
        },
      ];
    }),
};

/** The thickest film of a resin that stays where the cup is narrowest, mm. */
function carriedFilm({ design, workshop }: Facts, id: string): number {
  const resin = itemOf(workshop.shelf, id, 'resin');
  if (!resin) return Infinity;
  const { stations } = design.cup;
  const round = stations.map(({ circumference }) => circumference);
  const coatsEnd = circumferenceAt(stations, heightOf(design.cup) - design.cup.lipStrip);
  // A stem is no wall to run down: surface tension holds a film on a rod, and this bound knows none.
  const narrowest = Math.max(Math.min(...round, coatsEnd), Math.max(...round) * STEM);
  return runLimit({
    viscosity: resin.viscosity,
    density: mixWeight(resin),
    rpm: workshop.settings.rpm,
    circumference: narrowest,
  });
}

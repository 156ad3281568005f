import { deltaE2000, labOf } from '../../colour';
import type { PlannedArea } from '../../layout';
import { inRegion } from '../../regions';
import { placesOfArea, type Facts, type Found, type Rule } from '../finding';

/** ΔE00 under which a motif isn’t told from its ground, and L* under which its edge blurs from across a table. */
const UNSEEN = 5;
const BLURS = 8;

/** Motifs too near in lightness, or in colour altogether, to what they lie on. */
export const motifShows: Rule = {
  name: 'motif that shows',
  find: (facts) => {
    const outlined = facts.design.coats.flatMap((coat) => (coat.kind === 'outline' ? [coat.on] : []));
    return facts.areas.areas.flatMap((motif, index): readonly Found[] => {
      if ((motif.kind !== 'window' && motif.kind !== 'scatter') || motif.area === 0) return [];
      // A line of film round it draws the edge that lightness doesn’t.
      if (outlined.some((on) => on === 'all' || on.includes(motif.id))) return [];
      const host = hostOf(motif, facts.areas.areas.slice(0, index));
      const apart = host ? differences(facts, motif, host) : [];
      if (!host || apart.length === 0) return [];
      const [colour, lightness] = [Math.max(...apart.map((one) => one.colour)), Math.max(...apart.map((one) => one.lightness))];
      if (colour >= UNSEEN && lightness >= BLURS) return [];
      const unseen = colour < UNSEEN;
      return [
        {
          level: unseen ? 'look' : 'tip',
          coat: null,
          area: motif.id,
          says: unseen
            ? `${motif.name} can’t be told from ${host.name}: they finish ΔE ${colour.toFixed(1)} apart.`
            : `${motif.name} and ${host.name} are alike in lightness, ${lightness.toFixed(0)} of 100 apart.`,
          why: 'From across a table the eye finds an edge by light and dark, hardly by hue. Make one of the two lighter, or lay an outline round the motif.',
          fix: null,
        },
      ];
    });
  },
};

/** The area that a motif lies on, by its first outline. */
function hostOf(motif: PlannedArea, earlier: readonly PlannedArea[]): PlannedArea | undefined {
  const point = motif.own.at(0)?.at(0)?.at(0);
  if (!point) return undefined;
  return earlier.findLast(({ own }) => inRegion(own, ...point));
}

/** How far the finished motif is from its ground; from each of its pots where that fades. Nothing while one isn’t coated. */
function differences(facts: Facts, motif: PlannedArea, host: PlannedArea): readonly { colour: number; lightness: number }[] {
  const [start, end] = [facts.steps.at(0)?.before, facts.steps.at(-1)?.after];
  if (!start || !end) return [];
  const [own, ground] = [placesOfArea(facts, motif.id), placesOfArea(facts, host.id)];
  if ([...own, ...ground].some((place) => end[place].spectrum === start[place].spectrum)) return [];
  return own.flatMap((one) =>
    ground.map((other) => {
      const [a, b] = [labOf(end[one].spectrum), labOf(end[other].spectrum)];
      return { colour: deltaE2000(a, b), lightness: Math.abs(a[0] - b[0]) };
    }),
  );
}

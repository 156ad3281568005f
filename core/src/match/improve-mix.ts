import { MixColours } from './mix-colour';
import type { Mix } from './mix-question';

type Parts = Mix['parts'];

/** How many steps a jar joins with, to see whether it helps. */
const JOINING = [1, 2, 4, 8, 16];

/** Mixes of so many jars to start from, the likeliest first: what another jar joins may be improved to others. */
const STARTS = 12;

/**
 * Mixes of so many jars to start from: the best of one fewer with each of some jars joined, or what has to be kept.
 * @returns none when there isn't enough of anything for a mix of that size
 */
export function startingMixes(colours: MixColours, before: Mix | null, size: number): readonly Mix[] {
  const { jars } = colours.question;
  const wider = before?.parts.length === size - 1 ? joined(colours, before.parts) : [];
  if (wider.length > 0) return [...wider].sort((one, other) => one.difference - other.difference).slice(0, STARTS);
  const kept = jars.flatMap(({ keep }, jar) => (keep ? [jar] : []));
  if (size === 1 && kept.length === 0)
    return listed(
      nearest(
        jars.flatMap((_, jar) => (colours.most[jar] >= colours.steps ? [colours.mix([{ jar, steps: colours.steps }])] : [])),
      ),
    );
  const others = jars.map((_, jar) => jar).filter((jar) => !kept.includes(jar));
  others.sort((a, b) => colours.most[b] - colours.most[a]);
  return listed(filled(colours, [...kept, ...others].slice(0, size)));
}

const listed = (mix: Mix | null): readonly Mix[] => (mix ? [mix] : []);

/** Some amounts of these jars that add up to the whole. */
function filled(colours: MixColours, jars: readonly number[]): Mix | null {
  let rest = colours.steps - jars.length;
  if (rest < 0 || jars.some((jar) => colours.most[jar] < 1)) return null;
  const parts = jars.map((jar) => {
    const more = Math.min(rest, colours.most[jar] - 1);
    rest -= more;
    return { jar, steps: 1 + more };
  });
  return rest === 0 ? colours.mix(parts) : null;
}

/** With each jar more, the nearest there is. */
function joined(colours: MixColours, parts: Parts): readonly Mix[] {
  const inIt = new Set(parts.map(({ jar }) => jar));
  return colours.question.jars.flatMap((_, jar) =>
    inIt.has(jar)
      ? []
      : listed(
          nearest(
            parts.flatMap((from) =>
              JOINING.filter((steps) => steps < from.steps && steps <= colours.most[jar]).map((steps) =>
                colours.mix([...moved(parts, from.jar, -steps), { jar, steps }]),
              ),
            ),
          ),
        ),
  );
}

/** Steps moved from jar to jar, and jars put in place of others, for as long as it comes nearer. */
export function improved(colours: MixColours, start: Mix): Mix {
  let best = start;
  for (;;) {
    const next = nearest([...shifted(colours, best.parts), ...swapped(colours, best.parts)]);
    if (!next || next.difference >= best.difference) return best;
    best = next;
  }
}

const shifted = (colours: MixColours, parts: Parts): readonly Mix[] =>
  parts.flatMap((from) =>
    parts.flatMap((to) =>
      [1, 2, 4]
        .filter((by) => from !== to && from.steps > by && to.steps + by <= colours.most[to.jar])
        .map((by) => colours.mix(moved(moved(parts, from.jar, -by), to.jar, by))),
    ),
  );

function swapped(colours: MixColours, parts: Parts): readonly Mix[] {
  const { jars } = colours.question;
  const inIt = new Set(parts.map(({ jar }) => jar));
  return parts
    .filter(({ jar }) => !jars[jar].keep)
    .flatMap((out) =>
      jars.flatMap((_, jar) =>
        inIt.has(jar) || colours.most[jar] < out.steps
          ? []
          : [colours.mix(parts.map((part) => (part === out ? { jar, steps: part.steps } : part)))],
      ),
    );
}

const moved = (parts: Parts, jar: number, by: number): Parts =>
  parts.map((part) => (part.jar === jar ? { jar, steps: part.steps + by } : part));

const nearest = (mixes: readonly Mix[]): Mix | null =>
  mixes.reduce<Mix | null>((best, mix) => (best && best.difference <= mix.difference ? best : mix), null);

/** A revision as thinning sees it. */
export interface KeptAt {
  readonly number: number;
  readonly keptAt: string;
}

const MINUTE = 60_000;
/** Saves further apart belong to two sittings. */
const SITTING = 30 * MINUTE;
/** Between two that stay of the sitting that goes on, and of one that is over. */
const APART = { now: 10 * MINUTE, over: 60 * MINUTE };
/** Of a sitting so long ago only its end stays. */
const LONG_AGO = 30 * 24 * 60 * MINUTE;

/**
 * Which revisions a maker wouldn't miss: every keystroke is kept at once, but what stays is one every ten minutes of the
 * sitting that goes on, one an hour of those that are over, and the end of each. The first and the newest always stay.
 * @param revisions of one design, oldest first
 */
export function thinned(revisions: readonly KeptAt[], now: Date): readonly number[] {
  const gone: number[] = [];
  let last = -Infinity;
  revisions.forEach(({ number, keptAt }, i) => {
    const at = Date.parse(keptAt);
    const next = revisions.at(i + 1);
    const endsSitting = next === undefined || Date.parse(next.keptAt) - at > SITTING;
    const apart = now.getTime() - at > LONG_AGO ? Infinity : goesOn(revisions, i) ? APART.now : APART.over;
    if (i > 0 && !endsSitting && at - last < apart) gone.push(number);
    else last = at;
  });
  return gone;
}

/** Whether no pause parts a revision from the newest. */
const goesOn = (revisions: readonly KeptAt[], from: number): boolean =>
  revisions.slice(from + 1).every(({ keptAt }, i) => Date.parse(keptAt) - Date.parse(revisions[from + i].keptAt) <= SITTING);

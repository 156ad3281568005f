import { deltaE2000, labOf, reflectanceOf } from '../colour';
import { cureFactor } from '../resin';
import { colourOf, itemOf, settingOf, type ShelfItem } from '../stock';
import { listText, type Units } from '../units';
import type { Bench, BenchCoat } from './bench';
import { amountRead } from './bench-words';
import type { Mishap } from './log-entry';
import type { Make } from './make';

/** What can be asked at a coat, in the order it is offered. */
export function likelyMishaps({ step }: BenchCoat): readonly Mishap[] {
  return [
    ...(step.amounts.length > 0 ? (['spilt', 'jar missing'] as const) : []),
    ...(step.mix ? (['over-poured'] as const) : []),
    ...(step.kind === 'glitter' ? (['too much glitter'] as const) : []),
    'too late',
    'other',
  ];
}

/**
 * What to do now, at once.
 * @param shelf as it is today: a stand-in has to be there
 * @param clock how a moment, ms since 1970, is read
 */
export function mishapAnswer(
  kind: Mishap,
  coat: BenchCoat,
  {
    make,
    bench,
    shelf,
    units,
    clock,
  }: { make: Make; bench: Bench; shelf: readonly ShelfItem[]; units: Units; clock: (moment: number) => string },
): string {
  const { step } = coat;
  switch (kind) {
    case 'spilt': {
      const again = step.amounts.map(
        (one) => `${amountRead(one, one.amount, units).figure} of ${one.name}${one.where === null ? '' : ` for ${one.where}`}`,
      );
      const wiped = step.mix
        ? 'Wipe it up with paper, in gloves: spilt resin cures where it lies. What is on the cup already counts; '
        : 'Sweep it up before it sticks. ';
      return again.length === 0
        ? 'Wipe it up, and begin this coat again.'
        : `${wiped}${step.mix ? 'mix' : 'Measure'} anew, for all of it: ${listText(again)}.`;
    }
    case 'too late':
      return tooLate(make, bench, clock);
    case 'jar missing':
      return missingJar(coat, make.shelf, shelf);
    case 'too early':
      return 'Take nothing off. Let both cure together, and give the next coat twice the wait.';
    case 'over-poured':
      return 'Type what it really was under “Used another amount”: the other part follows, so that it cures.';
    case 'too much glitter':
      return 'Turn the cup over paper and tap it: the glue keeps what it holds, and the rest goes back into its jar. Type what was poured under “Used another amount”: it says what stays bare and which colour it becomes.';
    case 'other':
      return 'It is written down. A note “for next time” brings it back at this coat.';
  }
}

/** Resin past its window bonds only where it is scratched. */
function tooLate(
  { steps, design, settings, shelf }: Make,
  { coats, standing: { at }, missed }: Bench,
  clock: (moment: number) => string,
): string {
  const before = coats.slice(0, at ?? coats.length).findLast(({ state }) => state === 'done');
  if (!before || before.ended === null) return 'Nothing lies under it that could have closed: go on.';
  const coat = design.coats[steps.indexOf(before.step)];
  const resin = 'resin' in coat && coat.resin !== null ? itemOf(shelf, coat.resin, 'resin') : undefined;
  if (!missed) return 'Its window is still open: go on now.';
  if (coat.kind === 'glue')
    return resin
      ? 'A wipe that has set holds nothing: sand it dull, wash and dry it, wipe anew and pour at once.'
      : 'Glue that has set holds nothing: brush a second, thin coat on it and pour at once.';
  if (!resin) return 'It has only dried for longer: wipe the dust off and go on.';
  const cured = before.ended + settingOf(resin).sandAfter * cureFactor(settings.celsius) * 60_000;
  return `It bonds no more by itself. Let it cure until ${clock(cured)}, sand it dull, wash and dry it; then go on.`;
}

/** How many stand-ins are named. */
const NAMED = 3;

function missingJar({ step }: BenchCoat, then: readonly ShelfItem[], now: readonly ShelfItem[]): string {
  const answers = step.amounts.flatMap(({ item, key }) => {
    const jar = then.find(({ id }) => id === item);
    if (!jar || key === 'b') return [];
    const others = now.filter((one) => one.kind === jar.kind && one.id !== jar.id && one.left !== 0);
    const nearest = coloured(jar) ? [...others].sort((one, other) => apart(jar, one) - apart(jar, other)) : others;
    const names = nearest
      .slice(0, NAMED)
      .map((one) => (coloured(jar) ? `${one.name} (ΔE ${apart(jar, one).toFixed(0)})` : one.name));
    return [names.length > 0 ? `For ${jar.name} take ${names.join(', or ')}.` : `For ${jar.name} nothing on the shelf would do.`];
  });
  return [...new Set(answers)].join(' ') || 'This coat takes nothing from the shelf.';
}

const coloured = ({ kind }: ShelfItem): boolean => kind !== 'resin' && kind !== 'glue';

const apart = (one: ShelfItem, other: ShelfItem): number =>
  deltaE2000(labOf(reflectanceOf(colourOf(one))), labOf(reflectanceOf(colourOf(other))));

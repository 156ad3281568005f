import { dyeTint, filmOf, labOf, layOver, pearlTint, pigmentTint, randomStream, reflectanceOf, type Tint } from '@aurantia/core';
import { awayOf, nearestDrops, type PotAnswer, type PotQuestion } from '@aurantia/core/ink-pot';
import { share, type Row } from './measure';

const DROP = 0.05;
const INKS = 12;

const stirred = (tint: Tint, drops: number): Tint => ({ K: tint.K.map((k) => k * drops), S: tint.S.map((s) => s * drops) });

/** A shelf of inks for a pot: dyes, pigments, a pearl; every second time a colour that three of them make. */
function asked(round: number, random: () => number): PotQuestion {
  const hex = () =>
    `#${Math.floor(random() * 0xffffff)
      .toString(16)
      .padStart(6, '0')}`;
  const ml = [12, 30, 45][round % 3];
  const amount = (DROP * 100) / ml;
  const drop = Array.from({ length: INKS }, (_, i) => {
    if (i % 3 === 0) return pigmentTint(hex(), 0.3 + 0.6 * random(), amount);
    return i % 7 === 1 ? pearlTint(hex(), 0.4, amount) : dyeTint(hex(), amount);
  });
  const under = reflectanceOf(round % 2 === 0 ? '#8c3a1f' : '#f4f1ea');
  const made = filmOf([stirred(drop[1], 3), stirred(drop[3], 2), stirred(drop[5], 2)]);
  const target = labOf(round % 2 === 0 ? layOver(made, under) : reflectanceOf(hex()));
  return { under, target, drop, gloss: false, dropMl: drop.map(() => DROP), mostMl: DROP * ml, size: 3 };
}

function searched(question: PotQuestion): { ms: number; answer: PotAnswer } {
  const begun = performance.now();
  const search = nearestDrops(question);
  for (;;) {
    const { value, done } = search.next();
    if (done) return { ms: performance.now() - begun, answer: value };
  }
}

/** Every pot of three of the first few inks, one after the other. */
function tried({ drop, under, target, mostMl }: PotQuestion, inks: number): { ms: number; pots: number } {
  const most = Math.floor(mostMl / DROP + 1e-9);
  const begun = performance.now();
  let pots = 0;
  for (let a = 0; a < inks; a += 1)
    for (let b = a + 1; b < inks; b += 1)
      for (let c = b + 1; c < inks; c += 1)
        for (let i = 1; i < most; i += 1)
          for (let j = 1; i + j < most; j += 1)
            for (let k = 1; i + j + k <= most; k += 1) {
              awayOf([i, j, k], { under, target, drop: [drop[a], drop[b], drop[c]], gloss: false });
              pots += 1;
            }
  return { ms: performance.now() - begun, pots };
}

const threes = (count: number): number => (count * (count - 1) * (count - 2)) / 6;

/** Which inks of twelve, up to three in a pot, for a colour in reach or out of it: proven, against trying every pot of three. */
export function inkRow(): Row {
  const random = randomStream(5);
  const questions = Array.from({ length: 6 }, (_, round) => asked(round, random));
  searched(questions[0]);
  const times = questions.map((question) => searched(question).ms);
  const plain = questions.map((question) => tried(question, 4).ms * (threes(INKS) / threes(4)));
  return {
    what: 'which inks of twelve, up to three in a pot, for colours in reach and out of it, proven, against trying every pot of three (timed on four inks, scaled up)',
    figure: `${(share(plain, 0.5) / share(times, 0.5)).toFixed(0)} × faster; ${share(times, 0.5).toFixed(0)} ms at the median, slowest of six ${Math.max(...times).toFixed(0)} ms`,
    aim: 'under 1 s',
  };
}

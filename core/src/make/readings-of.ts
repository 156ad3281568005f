import { flakeDepth, gramsPerMl } from '../glitter';
import type { Reading } from '../learn';
import { itemOf } from '../stock';
import { benchOf, type BenchCoat } from './bench';
import type { LogEntry, LogEntryOf } from './log-entry';
import type { Make } from './make';
import { reallyPoured } from './taken';

/** What an entry of a make's log can teach; nothing where it holds no weighing, or none that can be read. */
export function readingsOf(make: Make, entries: readonly LogEntry[], entry: LogEntry): readonly Reading[] {
  if (entry.what !== 'weighed' && entry.what !== 'set') return [];
  const coat = benchOf(make, entries, 0).coats.find(({ step }) => step.coat === entry.coat);
  if (!coat) return [];
  if (entry.what === 'set') return cureOf(make, coat, entry);
  return [...holdOf(make, coat, entry), ...lossesOf(coat, entry), ...dropOf(make, coat, entry)];
}

/** g that stay of what was really poured, area by area: as deep as it really was. */
function holdOf(make: Make, { step, poured }: BenchCoat, { cup }: LogEntryOf<'weighed'>): readonly Reading[] {
  if (!cup || !step.flakes) return [];
  const pours = step.flakes.pours.map((pour) => {
    const parts = step.amounts.filter(({ key }) => key.slice(0, key.lastIndexOf('/')) === `pour/${pour.place}`);
    const really = parts.flatMap((part) => {
      const jar = part.item === null ? undefined : itemOf(make.shelf, part.item, 'glitter');
      return jar ? [{ glitter: jar.flake, ml: reallyPoured(part, poured), planned: part.amount }] : [];
    });
    // So deep were the planned ones: what was really poured is deeper by its faces.
    const deep = (of: 'ml' | 'planned') =>
      flakeDepth(
        really.map((one) => ({ glitter: one.glitter, ml: one[of] })),
        1,
      ).depth;
    const planned = deep('planned');
    return {
      grams: really.reduce((sum, { glitter, ml }) => sum + ml * gramsPerMl(glitter), 0),
      deep: planned > 0 ? (pour.deep * deep('ml')) / planned : pour.deep,
    };
  });
  if (pours.every(({ grams }) => grams === 0)) return [];
  return [{ about: 'hold', item: step.flakes.glue, pours, kept: Math.max(0, cup.after - cup.before) }];
}

/** What pot and glove kept of one mix; of colour that is held back there's no telling where it went. */
function lossesOf({ step, poured }: BenchCoat, { cup, pot }: LogEntryOf<'weighed'>): readonly Reading[] {
  const parts = step.amounts.filter(({ key }) => key === 'a' || key === 'b');
  if (!step.mix || pot === undefined || parts.length !== 2) return [];
  const mixed = parts.reduce((sum, part) => sum + reallyPoured(part, poured), 0);
  const grams = parts.reduce((sum, part) => sum + reallyPoured(part, poured) * (part.gramsPerMl ?? 1), 0);
  if (mixed === 0 || pot > grams) return [];
  const ml = mixed / grams;
  const left: Reading = { about: 'pot', left: pot * ml };
  if (!cup || step.mix.held > 0 || step.mix.times > 1) return [left];
  return [left, { about: 'glove', mixed, lost: mixed - pot * ml - (cup.after - cup.before) * ml }];
}

/** g a ml of ink: they weigh within a tenth of water. */
const INK_DENSITY = 1;

function dropOf(make: Make, { step }: BenchCoat, { drops }: LogEntryOf<'weighed'>): readonly Reading[] {
  const amount = step.amounts.find(({ key }) => key === drops?.key);
  if (!drops || !amount || amount.unit !== 'drop' || amount.item === null) return [];
  if (!itemOf(make.shelf, amount.item, 'ink')) return [];
  return [{ about: 'drop', item: amount.item, drops: drops.count, ml: drops.grams / INK_DENSITY }];
}

function cureOf(make: Make, { step, ended }: BenchCoat, { at, celsius }: LogEntryOf<'set'>): readonly Reading[] {
  const coat = make.design.coats.find(({ id }) => id === step.coat);
  const resin = coat && 'resin' in coat && coat.resin !== null ? itemOf(make.shelf, coat.resin, 'resin') : undefined;
  // Of a label that names no time there is nothing to be slower than.
  if (!resin || !step.mix || ended === null || resin.sandAfter < 1) return [];
  const minutes = (Date.parse(at) - ended) / 60_000;
  return minutes > 0 ? [{ about: 'cure', item: resin.id, minutes, celsius, label: resin.sandAfter }] : [];
}

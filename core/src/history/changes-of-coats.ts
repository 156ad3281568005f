import type { PlannedCoat } from '../coats';
import { amountText, durationText, listText, thicknessText, type Units } from '../units';
import type { Version } from './version';

/** Coats that came, went, moved or were set otherwise: film, ml, waiting before and after. */
export function changesOfCoats(before: Version, after: Version, units: Units): readonly string[] {
  const was = new Map(before.plan.coats.map((coat, i) => [coat.id, { coat, written: before.design.coats[i] }]));
  const is = new Set(after.plan.coats.map(({ id }) => id));
  const came = after.plan.coats.filter(({ id }) => !was.has(id));
  const gone = before.plan.coats.filter(({ id }) => !is.has(id));
  const set = after.plan.coats.flatMap((coat, i) => {
    const old = was.get(coat.id);
    if (!old || JSON.stringify(old.written) === JSON.stringify(after.design.coats[i])) return [];
    const figures = figuresOf(old.coat, coat, units);
    return [`Coat ${i + 1}, ${coat.title}, set otherwise${figures.length > 0 ? `: ${listText(figures)}` : ''}.`];
  });
  const order = after.plan.coats.flatMap(({ id }) => (was.has(id) ? [id] : [])).join();
  const oldOrder = before.plan.coats.flatMap(({ id }) => (is.has(id) ? [id] : [])).join();
  return [
    ...(came.length > 0 ? [`Added: ${listText(came.map(({ title }) => title))}.`] : []),
    ...(gone.length > 0 ? [`Taken out: ${listText(gone.map(({ title }) => title))}.`] : []),
    ...set,
    ...(order === oldOrder ? [] : ['The coats go in another order.']),
  ];
}

function figuresOf(before: PlannedCoat, after: PlannedCoat, units: Units): readonly string[] {
  const mixed = ({ mix }: PlannedCoat) =>
    mix ? amountText(mix.mix, units, mix.mix > 0 ? (mix.aGrams + mix.bGrams) / mix.mix : 1) : 'no resin';
  const film = ({ thickness }: PlannedCoat) => (thickness === null ? '' : thicknessText(thickness));
  const moved = (name: string, from: string, to: string) =>
    from === to || from === '' || to === '' ? [] : [`${name} ${from} → ${to}`];
  return [
    ...moved('film', film(before), film(after)),
    ...moved('resin', mixed(before), mixed(after)),
    ...moved('wait', durationText(before.wait.minutes), durationText(after.wait.minutes)),
  ];
}

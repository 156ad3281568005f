import type { Plan } from '../plan';
import { LEFT_OVER } from '../coats';
import { circumferenceAt, radiusOf, type Cup } from '../vessel';

/**
 * The cup from the side in its areas' colours as seen from afar, as an SVG in mm: for paper, where
 * single flakes would be lost anyway.
 */
export function cupDrawing(plan: Plan, cup: Cup): string {
  const { height } = plan.surface;
  const widest = Math.max(...cup.stations.map((station) => station.circumference)) / Math.PI;
  const margin = 2;
  const width = widest + 2 * margin;
  const middle = width / 2;
  const dip = widest * 0.07;
  const radiusAt = (mm: number) => radiusOf(circumferenceAt(cup.stations, mm));
  const y = (mm: number) => height - mm + margin + dip;
  const strips = [
    ...plan.areas.leftOver.spans.map((span) => ({ ...span, colour: plan.finished[LEFT_OVER] })),
    ...plan.areas.areas.flatMap((area) => area.spans.map((span) => ({ ...span, colour: plan.finished[area.id] }))),
  ].sort((a, b) => b.from - a.from);
  const outline = (from: number, to: number) => {
    const heights = [from, ...cup.stations.map((station) => station.height).filter((h) => h > from && h < to), to];
    const side = (sign: 1 | -1, list: number[]) =>
      list.map((h) => `${figure(middle + sign * radiusAt(h))} ${figure(y(h))}`).join(' L ');
    const curve = (mm: number, end: 1 | -1) =>
      `A ${figure(radiusAt(mm))} ${figure(dip)} 0 0 ${end === 1 ? 1 : 0} ${figure(middle - end * radiusAt(mm))} ${figure(y(mm))}`;
    return `M ${side(-1, heights)} ${curve(to, -1)} L ${side(1, [...heights].reverse())} ${curve(from, 1)} Z`;
  };
  const rim = radiusAt(height);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(width)} ${figure(height + 2 * margin + 2 * dip)}" width="${figure(width)}mm" height="${figure(height + 2 * margin + 2 * dip)}mm">`,
    `<path d="${outline(0, height)}" fill="${plan.bareWall}"/>`,
    ...strips.map(({ from, to, colour }) => `<path d="${outline(from, to)}" fill="${colour}"/>`),
    `<ellipse cx="${figure(middle)}" cy="${figure(y(height))}" rx="${figure(rim)}" ry="${figure(dip)}" fill="#5d6468" stroke="#c9ccd0" stroke-width="1.2"/>`,
    '</svg>',
  ].join('\n');
}

const figure = (value: number): string => String(Math.round(value * 100) / 100);

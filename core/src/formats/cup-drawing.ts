import { LEFT_OVER } from '../layout';
import type { Plan } from '../plan';
import { bandRegion, finely, within, type Region } from '../regions';
import { circumferenceAt, radiusOf, type Cup } from '../vessel';

/** The half of the wall that faces you, opposite the seam. */
const FRONT = { left: 90, right: 270 };

/**
 * The cup from the side in its areas' colours as seen from afar, as an SVG in mm: for paper, where
 * single flakes would be lost anyway.
 */
export function cupDrawing(plan: Plan, cup: Cup): string {
  const { height } = plan.surface;
  const { stations } = cup;
  const widest = Math.max(...stations.map((station) => station.circumference)) / Math.PI;
  const margin = 2;
  const width = widest + 2 * margin;
  const middle = width / 2;
  const lean = 0.07 * 2;
  const dip = (widest / 2) * lean;
  const radiusAt = (mm: number) => radiusOf(circumferenceAt(stations, Math.min(height, Math.max(0, mm))));
  const point = (angle: number, mm: number) => {
    const turn = ((angle - 180) * Math.PI) / 180;
    const radius = radiusAt(mm);
    return `${figure(middle + radius * Math.sin(turn))} ${figure(height - mm + margin + dip + radius * lean * Math.cos(turn))}`;
  };
  const front = bandRegion(-1, height + 1, FRONT.left, FRONT.right);
  const path = (region: Region) =>
    within(region, front)
      .flat()
      .map(
        (ring) =>
          `M ${finely(ring, stations)
            .map(([angle, mm]) => point(angle, mm))
            .join(' L ')} Z`,
      )
      .join(' ');
  const parts = [
    { region: bandRegion(0, height), colour: plan.bareWall },
    { region: plan.leftOver, colour: plan.finished[LEFT_OVER] },
    ...plan.places.map(({ id, region }) => ({ region, colour: plan.finished[id] })),
  ];
  const tall = figure(height + 2 * margin + 2 * dip);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(width)} ${tall}" width="${figure(width)}mm" height="${tall}mm">`,
    ...parts
      .map(({ region, colour }) => ({ colour, drawn: path(region) }))
      .filter(({ drawn }) => drawn !== '')
      .map(({ colour, drawn }) => `<path d="${drawn}" fill="${colour}" fill-rule="evenodd"/>`),
    `<ellipse cx="${figure(middle)}" cy="${figure(margin + dip)}" rx="${figure(radiusAt(height))}" ry="${figure(radiusAt(height) * lean)}" fill="#5d6468" stroke="#c9ccd0" stroke-width="1.2"/>`,
    '</svg>',
  ].join('\n');
}

const figure = (value: number): string => String(Math.round(value * 100) / 100);

import svgpath from 'svgpath';

/** A closed line, its last point its first. */
export type Line = readonly (readonly [number, number])[];

/** Points a curve is cut into: fine enough for a 60 mm motif, few enough for a needle. */
const STEPS = 12;

const number = (text: string | undefined): number => {
  const value = Number.parseFloat(text ?? '0');
  return Number.isFinite(value) ? value : 0;
};

/** The closed lines of one SVG shape, its transforms applied; curves cut into straight pieces. */
export function flatLines(
  tag: string,
  attributes: Readonly<Record<string, string>>,
  transforms: readonly string[],
): readonly Line[] {
  const path = pathOf(tag, attributes);
  if (path === '') return [];
  const drawn = svgpath(path);
  if ((drawn as unknown as { err?: string }).err) return [];
  for (const transform of [...transforms].reverse()) drawn.transform(transform);
  const lines: (readonly [number, number])[][] = [];
  let line: (readonly [number, number])[] = [];
  const finish = () => {
    if (line.length > 2) lines.push(line);
    line = [];
  };
  drawn
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const values = segment.slice(1) as number[];
      switch (segment[0]) {
        case 'M':
          finish();
          line.push([values[0], values[1]]);
          break;
        case 'L':
          line.push([values[0], values[1]]);
          break;
        case 'H':
          line.push([values[0], y]);
          break;
        case 'V':
          line.push([x, values[0]]);
          break;
        case 'C':
        case 'Q':
          for (let step = 1; step <= STEPS; step += 1) line.push(onCurve([x, y, ...values], step / STEPS));
          break;
        case 'Z':
          break;
      }
    });
  finish();
  return lines.map(closed);
}

/** Doubled points would make edges of no length; the last point must be the first. */
function closed(line: readonly (readonly [number, number])[]): Line {
  const single = line.filter(([x, y], i) => i === 0 || Math.hypot(x - line[i - 1][0], y - line[i - 1][1]) > 1e-9);
  const [first, last] = [single[0], single[single.length - 1]];
  const open = single.length > 1 && Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-9 ? single.slice(0, -1) : single;
  return [...open, open[0]];
}

/** A point of a Bézier curve of any degree, by de Casteljau. */
function onCurve(control: readonly number[], at: number): readonly [number, number] {
  let points = Array.from({ length: control.length / 2 }, (_, i): readonly [number, number] => [
    control[2 * i],
    control[2 * i + 1],
  ]);
  while (points.length > 1)
    points = points
      .slice(1)
      .map(([x, y], i): readonly [number, number] => [
        points[i][0] + (x - points[i][0]) * at,
        points[i][1] + (y - points[i][1]) * at,
      ]);
  return points[0];
}

function pathOf(tag: string, attributes: Readonly<Record<string, string>>): string {
  const at = (name: string) => number(attributes[name]);
  switch (tag) {
    case 'path':
      return attributes['d'] ?? '';
    case 'polygon':
    case 'polyline': {
      const points = (attributes['points'] ?? '').trim();
      return points === '' ? '' : `M${points}Z`;
    }
    case 'rect':
      return at('width') > 0 && at('height') > 0 ? `M${at('x')} ${at('y')}h${at('width')}v${at('height')}h${-at('width')}Z` : '';
    case 'circle':
      return at('r') > 0 ? ellipse(at('cx'), at('cy'), at('r'), at('r')) : '';
    case 'ellipse':
      return at('rx') > 0 && at('ry') > 0 ? ellipse(at('cx'), at('cy'), at('rx'), at('ry')) : '';
    default:
      return '';
  }
}

const ellipse = (x: number, y: number, rx: number, ry: number): string =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

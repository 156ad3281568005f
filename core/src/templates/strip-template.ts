import { edgeLine, type AreaOf } from '../areas';
import type { CoatOf } from '../design';
import { bandRegion, onGrid, type Region, type WallPoint } from '../regions';
import { heightOf, levelHeight, piecesOf, stripAround, stripFit, wallLength, type Cup } from '../vessel';
import { flatPieces } from './flat-pieces';
import { mark, sheetAround, type Template, type TemplateSheet, type TemplateWishes } from './template';

/** How far an edge's guide reaches beyond its line, mm. */
const GUIDE = 18;

/** A band as a strip to lay round the cup, its end lying over its start; curved where the wall leans. */
export function stripTemplate(area: AreaOf<'band'>, cup: Cup, wishes: TemplateWishes): Template {
  const [from, to] = [levelHeight(area.lower.level, cup), levelHeight(area.upper.level, cup)];
  const fit = stripFit(cup.stations, from, to);
  const says = [
    `The tape reads ${fit.lowerLength.toFixed(1)} mm at its lower edge and ${fit.upperLength.toFixed(1)} mm at its upper; ${wishes.overlap} mm are added to lie over its start.`,
  ];
  const bends = piecesOf(cup.stations).filter(([, upper]) => upper.height > from && upper.height < to).length;
  if (wishes.straight) {
    if (fit.longest > Math.max(fit.lowerLength, fit.upperLength) + 0.05)
      says.push(`The wall is widest between them, ${fit.longest.toFixed(1)} mm round: the strip is cut to that.`);
    const warns = fit.puckers
      ? `It should be ${fit.difference.toFixed(1)} mm longer where the wall is widest than where it is narrowest, so a straight strip puckers there. The curved strip lies flat.`
      : null;
    return { title: `${area.name}, straight strip`, says, warns, sheets: [straightStrip(area, cup, wishes, fit.longest)] };
  }
  const warns = fit.puckers ? 'The wall leans here: cut the strip curved as drawn; a straight one would pucker.' : null;
  if (bends > 0) says.push('The wall bends within this band, so it comes in one strip for each straight part of the wall.');
  return {
    title: `${area.name}, strip`,
    says,
    warns,
    sheets: stripSheets(area.name, overlapped(area, cup, wishes.overlap), cup),
  };
}

/** A strip of film that a coat lays once round, as wide as it is cut, its end over its start by so many mm. */
export function laidStripTemplate({ width, centre }: CoatOf<'strip'>, cup: Cup, overlap: number): Template {
  const { from, to, shortest, longest, puckers } = stripAround(cup.stations, width, centre);
  const past = (360 * overlap) / shortest;
  return {
    title: `Strip at ${centre} mm`,
    says: [`${longest.toFixed(1)} mm round where the wall is widest under it; ${overlap} mm are added to lie over its start.`],
    warns: puckers ? 'The wall leans here: cut the strip curved as drawn; a straight one would pucker.' : null,
    sheets: stripSheets('Strip', bandRegion(from, to, 0, onGrid(360 + past)), cup),
  };
}

const stripSheets = (name: string, region: Region, cup: Cup): readonly TemplateSheet[] =>
  flatPieces(region, cup.stations).map((piece) =>
    sheetAround(piece.of === 1 ? name : `${name}, part ${piece.number} of ${piece.of}`, piece.lines, piece.words),
  );

/** The band's outline going on past the seam by so many mm at its wider end, teeth and all. */
function overlapped(area: AreaOf<'band'>, cup: Cup, overlap: number): Region {
  const [from, to] = [levelHeight(area.lower.level, cup), levelHeight(area.upper.level, cup)];
  const past = (360 * overlap) / stripFit(cup.stations, from, to).shortest;
  const [lower, upper] = [goneOn(edgeLine(area.lower, cup), past), [...goneOn(edgeLine(area.upper, cup), past)].reverse()];
  return [[[...lower, ...upper, lower[0]]]];
}

/** A line over one turn gone on past its end by some degrees, as it began. */
function goneOn(line: readonly WallPoint[], past: number): readonly WallPoint[] {
  const again = line.filter(([angle]) => angle > 0 && angle < past).map(([angle, height]) => [360 + angle, height] as const);
  const next = line.find(([angle]) => angle >= past) ?? line[line.length - 1];
  const before = [...line].reverse().find(([angle]) => angle < past) ?? line[0];
  const share = next[0] === before[0] ? 0 : (past - before[0]) / (next[0] - before[0]);
  return [...line, ...again, [onGrid(360 + past), onGrid(before[1] + share * (next[1] - before[1]))]];
}

function straightStrip(area: AreaOf<'band'>, cup: Cup, wishes: TemplateWishes, length: number): TemplateSheet {
  const [lower, upper] = [edgeLine(area.lower, cup), [...edgeLine(area.upper, cup)].reverse()];
  // Cloth lies along the wall, which is longer than it is high where it leans.
  const along = (height: number) => wallLength(cup.stations, 0, height);
  const top = along(Math.max(...upper.map(([, height]) => height)));
  const flat = ([angle, height]: WallPoint) => [(angle / 360) * length, top - along(height)] as const;
  const end = [length + wishes.overlap, 0] as const;
  const [lowerEnd, upperEnd] = [flat(lower[lower.length - 1]), flat(upper[0])];
  const points = [...lower.map(flat), [end[0], lowerEnd[1]] as const, [end[0], upperEnd[1]] as const, ...upper.map(flat)];
  return sheetAround(area.name, [
    { role: 'cut', points: [...points, points[0]], closed: true },
    mark([length, lowerEnd[1]], [length, upperEnd[1]]),
  ]);
}

/** One edge of a band as a guide to lay against the cup: the line on one side, paper beyond it on the other. */
export function edgeTemplate(area: AreaOf<'band'>, side: 'lower' | 'upper', cup: Cup, wishes: TemplateWishes): Template {
  const line = edgeLine(area[side], cup);
  const heights = line.map(([, height]) => height);
  const rim = heightOf(cup);
  const beyond = side === 'upper' ? Math.min(rim, Math.max(...heights) + GUIDE) : Math.max(0, Math.min(...heights) - GUIDE);
  const past =
    (360 * wishes.overlap) /
    stripFit(cup.stations, ...((beyond > heights[0] ? [heights[0], beyond] : [beyond, heights[0]]) as [number, number])).shortest;
  const on = goneOn(line, past);
  const last = on[on.length - 1][0];
  const region: Region = [[[...on, [last, beyond], [0, beyond], on[0]]]];
  const { teeth } = area[side];
  return {
    title: `${area.name}, ${side} edge`,
    says: [
      teeth
        ? `${teeth.count} whole teeth go once round and meet themselves at the seam; the last ${wishes.overlap} mm lie over the first.`
        : `A guide for the edge at ${heights[0].toFixed(1)} mm above the foot.`,
    ],
    warns: null,
    sheets: Math.abs(beyond - heights[0]) < 1 ? [] : stripSheets(`${area.name}, ${side} edge`, region, cup),
  };
}

/** Short strips for foot and rim with a tick at every line between sections. */
export function marksTemplate(lines: SectionLines, cup: Cup, top: number): Template {
  const tall = Math.min(12, top / 3);
  const strip = (title: string, angles: readonly number[], from: number, to: number) =>
    flatPieces(bandRegion(from, to), cup.stations, { angles, from, to }).map((piece) =>
      sheetAround(piece.of === 1 || to - from <= tall ? title : `${title}, part ${piece.number}`, piece.lines, piece.words),
    );
  return {
    title: 'Marks for the sections',
    says: [
      'Lay one strip round the foot and one where the coats end, both from the seam; join the ticks with a ruler along the wall.',
    ],
    warns: null,
    sheets: [...strip('At the foot', lines.foot, 0, tall), ...strip('At the rim', lines.rim, top - tall, top)],
  };
}

/** Where the lines between sections meet the foot and the rim, degrees from the seam. */
export interface SectionLines {
  readonly foot: readonly number[];
  readonly rim: readonly number[];
}

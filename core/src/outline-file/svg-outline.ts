import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { MOST_POINTS, outlineFault, outlineSchema, type OwnOutline } from '../motif';
import { evenOdd, UnclearRegionError, type Region, type Ring } from '../regions';
import { flatLines, type Line } from './svg-lines';

export type ReadOutline =
  | { readonly ok: true; readonly outline: OwnOutline; readonly leftOut: readonly string[] }
  | { readonly ok: false; readonly sentence: string };

const LARGEST = 1_000_000;
/** times its width; the document's box allows no more */
const TALLEST = 6;
const DRAWN = new Set(['path', 'polygon', 'polyline', 'rect', 'circle', 'ellipse']);
const GROUPS = new Set(['svg', 'g', 'a', 'switch']);
const QUIET = new Set(['title', 'desc', 'metadata', 'defs', 'style', 'namedview', '#text', '#comment', '?xml']);

/**
 * Reads an outline from an SVG's text. Only its closed shapes are kept, as points: nothing in it is
 * run, fetched or kept otherwise, and whatever is left out is named.
 */
export function outlineFromSvg(text: string, name: string): ReadOutline {
  const no = (sentence: string): ReadOutline => ({ ok: false, sentence });
  if (text.length > LARGEST) return no('This SVG is over a megabyte. Simplify it in the drawing program and bring it in again.');
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return no('This SVG declares entities, which outlines don’t need. Save it as a plain SVG and bring it in again.');
  if (!/<svg[\s>]/i.test(text)) return no('This is no SVG. Bring in a file that ends in .svg and holds one closed outline.');
  let nodes: unknown;
  try {
    const valid = XMLValidator.validate(text);
    if (valid !== true)
      return no(`This SVG is damaged at line ${valid.err.line}: ${valid.err.msg} Save it again from the drawing program.`);
    nodes = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      // A name of its own, so that an attribute called like something of JavaScript's stays a word.
      attributeNamePrefix: '@',
      processEntities: false,
    }).parse(text);
  } catch {
    // The reader throws errors of its own at names of JavaScript's and at endless nesting.
    return no(
      'This SVG is built in a way that can’t be read: nested too deep, or with names no drawing has. Save it as a plain SVG and bring it in again.',
    );
  }
  const found: { lines: Line[]; left: Map<string, number> } = { lines: [], left: new Map() };
  try {
    walk(nodes, [], found, 0);
  } catch (error) {
    return no(sentenceOf(error));
  }
  const leftOut = [...found.left].map(([what, count]) => (count === 1 ? what : `${what} (${count})`));
  const closed = found.lines.filter((line) => line.length >= 4);
  if (closed.length === 0) {
    const only = leftOut.length > 0 ? ` It holds only ${leftOut.join(', ')}.` : '';
    return no(`This SVG has no closed outline.${only} Turn what you want into a filled path and bring it in again.`);
  }
  const points = closed.reduce((sum, line) => sum + line.length, 0);
  if (points > MOST_POINTS)
    return no(
      `This outline has ${points.toLocaleString('en')} points; ${MOST_POINTS} are the most. Simplify it in the drawing program and bring it in again.`,
    );
  let rings: ReturnType<typeof unit>;
  try {
    rings = unit(closed);
  } catch (error) {
    return no(sentenceOf(error));
  }
  const crossing = outlineFault([rings], MOST_POINTS);
  if (crossing) return no(crossing);
  const label =
    name
      .replace(/\.svg$/i, '')
      .trim()
      .slice(0, 60) || 'own outline';
  const read = checked(rings, label);
  return read.ok ? { ...read, leftOut } : read;
}

/** The outline as a document takes it: what this accepts, no document refuses later. */
function checked(rings: ReturnType<typeof unit>, name: string): ReadOutline {
  const no = (sentence: string): ReadOutline => ({ ok: false, sentence });
  let region: Region;
  try {
    region = evenOdd(rings as readonly Ring[]);
  } catch (error) {
    if (error instanceof UnclearRegionError)
      return no('Lines of this outline lie on each other. Join its shapes into one in the drawing program.');
    throw error;
  }
  if (region.length === 0)
    return no('This outline is so flat that nothing lies inside it. Draw a shape that encloses something.');
  const polygons = region.map((polygon) => polygon.map((ring) => ring.map(([x, y]): [number, number] => [x, y])));
  const read = outlineSchema.safeParse({ shape: 'own', name, polygons });
  if (!read.success) return no(read.error.issues[0].message);
  return { ok: true, outline: { shape: 'own', name, polygons }, leftOut: [] };
}

const sentenceOf = (error: unknown): string =>
  error instanceof SvgOutlineError
    ? error.message
    : 'A shape in this SVG can’t be read. Save its outline as a path and bring it in again.';

/** Thrown inside the reading for a shape that can't be taken; its message is for the maker. */
export class SvgOutlineError extends Error {
  override readonly name = 'SvgOutlineError';
}

type Attributes = Readonly<Record<string, string>>;

/** Attributes by their plain names, without anything that an object has by itself. */
const attributesOf = (read: unknown): Attributes =>
  Object.assign(
    Object.create(null) as Record<string, string>,
    Object.fromEntries(Object.entries(read ?? {}).map(([name, value]) => [name.replace(/^@/, ''), String(value)])),
  );

function walk(
  nodes: unknown,
  transforms: readonly string[],
  found: { lines: Line[]; left: Map<string, number> },
  depth: number,
): void {
  if (!Array.isArray(nodes)) return;
  if (depth > 40) throw new SvgOutlineError('This SVG nests its groups over 40 deep. Ungroup it in the drawing program.');
  for (const node of nodes as readonly Record<string, unknown>[]) {
    const attributes = attributesOf(node[':@']);
    const tag = Object.keys(node).find((key) => key !== ':@');
    if (tag === undefined) continue;
    const plain = tag.replace(/^.*:/, '').toLowerCase();
    const inner = attributes['transform'] ? [...transforms, attributes['transform']] : transforms;
    if (DRAWN.has(plain)) found.lines.push(...flatLines(plain, attributes, inner));
    else if (GROUPS.has(plain)) walk(node[tag], inner, found, depth + 1);
    else if (!QUIET.has(plain)) found.left.set(plain, (found.left.get(plain) ?? 0) + 1);
    if (found.lines.length > 60)
      throw new SvgOutlineError('This SVG has over 60 separate lines. Keep the few that make the outline.');
  }
}

/** Lines brought to a box of width 1 about 0, y upwards. */
function unit(lines: readonly Line[]): readonly (readonly [number, number][])[] {
  const xs = lines.flatMap((line) => line.map(([x]) => x));
  const ys = lines.flatMap((line) => line.map(([, y]) => y));
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const width = right - left;
  if (bottom - top > width * TALLEST)
    throw new SvgOutlineError('This outline is over six times as tall as it is wide. Lay it on its side in the drawing program.');
  const round = (value: number) => Math.round(value * 1e5) / 1e5;
  return lines.map((line) =>
    line.map(([x, y]): [number, number] => [round((x - (left + right) / 2) / width), round(-(y - (top + bottom) / 2) / width)]),
  );
}

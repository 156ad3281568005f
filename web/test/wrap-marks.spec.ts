import { bandRegion, unrolling, type Region } from '@aurantia/core';
import { wrapMarks, type WrapPicture } from '../src/app/design/areas-stage/wrap-view/wrap-marks';
import { paintDrawing } from '../src/app/drawn/paint-drawing';
import { notingCanvas } from './noting-canvas';

const stations = [
  { height: 0, circumference: 220 },
  { height: 100, circumference: 260 },
];

/** Paints a picture on a canvas that only notes what it was told. */
function painted(picture: WrapPicture) {
  const { context, done } = notingCanvas();
  paintDrawing(context, {
    width: 300,
    height: 200,
    dots: 1,
    wall: { how: 'flat', stations, scale: 2, left: 10, top: 10 },
    marks: wrapMarks(picture, (token) => token.slice(2)),
  });
  return done;
}
const low = bandRegion(0, 50);
const cells: Region = Array.from({ length: 20 }, (_, i) => bandRegion(60, 70, i * 10, i * 10 + 5)[0]);
const picture: WrapPicture = {
  wall: bandRegion(0, 100),
  bare: [],
  parts: [
    { id: 'low', title: 'Low', colour: 'plum', region: low },
    { id: 'cells', title: 'Cells', colour: 'gold', region: cells },
  ],
  chosen: null,
};

test('every area is filled in its colour, at its place on the flat wall', () => {
  const fills = painted(picture).filter(({ what }) => what === 'fill');
  expect(fills.filter(({ style }) => style === 'plum')).toHaveLength(1);
  expect(fills.filter(({ style }) => style === 'gold')).toHaveLength(20);
  const flat = unrolling(stations);
  const [x, y] = flat.point(0, 50);
  expect(fills[1].path?.points).toContainEqual([expect.closeTo(x, 6), expect.closeTo(y, 6)]);
});

test('what no area covers is filled faintly, the areas fully', () => {
  const parts = [{ id: '', title: 'Left over', colour: 'clay', region: low }, ...picture.parts];
  const fills = painted({ ...picture, parts }).filter(({ what }) => what === 'fill');
  expect(fills.filter(({ style }) => style === 'clay').map(({ alpha }) => alpha)).toEqual([0.35]);
  expect(fills.filter(({ style }) => style === 'plum').map(({ alpha }) => alpha)).toEqual([1]);
});

test('the chosen area’s edge lies over the rest; of many pieces it is thin and drawn once', () => {
  const strokes = (id: string, edge: Region) =>
    painted({ ...picture, chosen: { id, edge } }).filter(({ what }) => what === 'stroke');
  const one = strokes('low', low).filter(({ style }) => style === 'peel');
  expect(one.map(({ width }) => width)).toEqual([1.5]);
  const many = strokes('cells', cells);
  expect(many.filter(({ style }) => style === 'peel').map(({ width }) => width)).toEqual(Array(20).fill(0.5));
  expect(many.filter(({ style }) => style === '#fffdf9')).toHaveLength(1);
});

test('the wall round many motifs has a thin edge without dashes, for it runs round each of them', () => {
  const round: Region = [[low[0][0], ...cells.map(([outline]) => outline)]];
  const open = (region: Region) =>
    painted({ ...picture, parts: [{ id: '', title: 'Left over', colour: 'clay', region }] })
      .filter(({ what }) => what === 'stroke')
      .map(({ width, dash }) => ({ width, dash }))[0];
  expect(open(low)).toEqual({ width: 0.7, dash: [2, 1.5] });
  expect(open(round)).toEqual({ width: 0.5, dash: [] });
});

import { cupLight, flakeField, flatLight, litField, litPixels, typicalCups, type FlakeField } from '../src';
import {
  bodyOutline,
  figureBox,
  figureStance,
  handleLoop,
  handleReach,
  mouthOf,
  paintedCup,
  rowOf,
  seenWall,
  stanceIn,
} from '../src/figure';

const stations = [
  { height: 0, circumference: 200 },
  { height: 100, circumference: 200 },
];

const cup = { stations, handle: null };

/** A wall that is red on the left half of its wrap and blue on the right, with a green foot. */
function wall(): FlakeField {
  const [width, height] = [64, 100];
  const side = { kind: 'solid', opacity: 1, finish: 'matte', cut: 0.4, share: 1 } as const;
  const half = (first: number, colour: string) => ({
    pixels: Uint32Array.from({ length: 32 * 80 }, (_, i) => Math.floor(i / 32) * width + first + (i % 32)),
    look: [{ layer: 'flakes' as const, depth: 9, flakes: [{ ...side, colour }] }],
  });
  return flakeField({
    width,
    height,
    rowsPerMm: 1,
    columnsPerMm: () => 0.32,
    regions: [half(0, '#c80000'), half(32, '#0000c8')],
    ground: '#00c800',
    seed: 1,
    wraps: true,
  });
}

/** A picture that is of one pour all over. */
function swatch(): FlakeField {
  const [width, height] = [40, 30];
  const flake = { kind: 'solid', opacity: 1, finish: 'metallic', cut: 0.4, share: 1, colour: '#b06a30' } as const;
  return flakeField({
    width,
    height,
    rowsPerMm: 2,
    columnsPerMm: () => 2,
    regions: [
      {
        pixels: Uint32Array.from({ length: width * height }, (_, i) => i),
        look: [{ layer: 'flakes' as const, depth: 3, flakes: [flake] }],
      },
    ],
    ground: '#101010',
    seed: 2,
    wraps: false,
  });
}

const strongest = ([r, g, b, a]: number[]) =>
  a === 0 ? 'nothing' : ['red', 'green', 'blue'][[r, g, b].indexOf(Math.max(r, g, b))];

describe('a cup painted without a graphics card', () => {
  const stance = stanceIn(cup, 120, 160, 10);
  const paintedAt = (turn: number) => {
    const picture = paintedCup(wall(), cup, { width: 120, height: 160, stance, turn, handle: '#000000' });
    return (x: number, y: number) => strongest([...picture.slice((y * 120 + x) * 4, (y * 120 + x) * 4 + 4)]);
  };

  test('shows the middle of the wrap in front, left of it left, right of it right', () => {
    const at = paintedAt(0);
    expect(at(stance.axis - 20, 80)).toBe('red');
    expect(at(stance.axis + 20, 80)).toBe('blue');
    expect(at(60, Math.round(stance.ground) - 4)).toBe('green');
    expect(at(2, 80)).toBe('nothing');
  });
  test('turned to the right, what was left comes to the front', () => {
    const at = paintedAt(Math.PI / 2);
    expect(at(stance.axis + 3, 80)).toBe('red');
    expect(at(stance.axis - 3, 80)).toBe('red');
  });
  test('turned all round, is as it was', () => {
    const [once, again] = [paintedAt(0.3), paintedAt(0.3 + 2 * Math.PI)];
    for (let x = 0; x < 120; x += 7) expect(again(x, 90)).toBe(once(x, 90));
  });
  test('is found on the wall the same whether its left is taken for its right or each is looked for', () => {
    const vase = [
      { height: 0, circumference: 180 },
      { height: 40, circumference: 240 },
      { height: 70, circumference: 210 },
      { height: 100, circumference: 230 },
    ];
    const at = stanceIn({ stations: vase, handle: null }, 120, 160, 10);
    const placed = (width: number) => {
      const wall = seenWall(vase, { width, height: 160, ...at });
      const places = Array.from(wall.pixels, (pixel, i) => {
        const [x, y] = [pixel % width, Math.floor(pixel / width)];
        return [`${x} ${y}`, [wall.rounds[i], wall.downs[i], wall.steps[i], wall.covers[i]]] as const;
      });
      return new Map(places);
    };
    // A picture a pixel wider has its axis no more amid.
    const [once, each] = [placed(120), placed(121)];
    expect(once.size).toBe(each.size);
    expect(once.size).toBeGreaterThan(5000);
    const near = [5e-6, 5e-6, 1, 1];
    const elsewhere = [...once].filter(([place, found]) => {
      const other = each.get(place) ?? [];
      return !near.every((most, i) => Math.abs(found[i] - (other[i] ?? NaN)) <= most);
    });
    expect(elsewhere).toEqual([]);
  });
  test('covers as much of a row as the cup is wide there, to a part of a point', () => {
    const { pixels, covers } = seenWall(stations, { width: 120, height: 160, ...stance });
    const row = Math.round(rowOf(stance, 50));
    const wide = Array.from(pixels).reduce((sum, pixel, i) => sum + (Math.floor(pixel / 120) === row ? covers[i] / 255 : 0), 0);
    expect(wide).toBeCloseTo((200 / Math.PI) * stance.scale, 1);
  });
  test.each(typicalCups)('before it is painted, the outline of $name is where its edge will be', ({ stations }) => {
    const [width, height] = [240, 320];
    const at = stanceIn({ stations, handle: null }, width, height, 10);
    const { pixels } = seenWall(stations, { width, height, ...at });
    const outline = bodyOutline(stations, at);
    const mouth = mouthOf(stations, at);
    const painted = new Map<number, { from: number; to: number }>();
    for (const pixel of pixels) {
      const [x, y] = [pixel % width, Math.floor(pixel / width)];
      const row = painted.get(y) ?? { from: x, to: x };
      painted.set(y, { from: Math.min(row.from, x), to: Math.max(row.to, x + 1) });
    }
    // Where the outline crosses the middle of a row.
    const crossings = (y: number) =>
      outline.flatMap((one, i) => {
        const next = outline[(i + 1) % outline.length];
        const share = (y + 0.5 - one.y) / (next.y - one.y);
        return share >= 0 && share < 1 ? [one.x + (next.x - one.x) * share] : [];
      });
    // Below the dip of the mouth, and above the curve of the foot: there both are as wide, to a point at either side.
    let worst = 0;
    const [first, last] = [Math.ceil(mouth.y + mouth.down) + 1, Math.floor(at.ground)];
    for (let y = first; y <= last; y += 3) {
      const { from, to } = painted.get(y) ?? { from: NaN, to: NaN };
      worst = Math.max(worst, Math.abs(Math.min(...crossings(y)) - from), Math.abs(Math.max(...crossings(y)) - to));
    }
    expect(worst).toBeLessThan(1.1);
    const lowest = Math.max(...outline.map(({ y }) => y));
    expect(Math.abs(lowest - Math.max(...pixels) / width)).toBeLessThan(2);
  });
  test('a figure’s picture has room for all of it, mouth and foot', () => {
    const { width, height } = figureBox(cup, 1.22);
    const at = figureStance(cup, 1.22, 2);
    const { y, down, across, line } = mouthOf(stations, at);
    expect(y - down - line / 2).toBeGreaterThan(0);
    expect(across + line / 2).toBeLessThan(width);
    expect(at.ground + across * (down / across)).toBeLessThan(2 * height);
  });
  test('a rim is as thick as a rim is, and no ring of metal on a narrow neck', () => {
    const at = { scale: 4, axis: 100, ground: 500 };
    const rim = (circumference: number) => mouthOf([stations[0], { height: 100, circumference }], at);
    expect(rim(200).line).toBeCloseTo(1.6 * 4, 9);
    expect(rim(60).line).toBeCloseTo(0.08 * rim(60).across, 9);
    expect(mouthOf(stations, { ...at, scale: 0.1 }).line).toBe(1);
  });
});

describe('a handle', () => {
  const handle = { angle: 270, width: 16, from: 20, to: 80, length: 120, girth: 30 };
  const mug = { stations, handle };
  const stance = stanceIn(mug, 160, 160, 10);
  const painted = (turn: number) => {
    const picture = paintedCup(wall(), mug, { width: 160, height: 160, stance, turn, handle: '#00ffff' });
    return (x: number, y: number) => [...picture.slice((y * 160 + Math.round(x)) * 4, (y * 160 + Math.round(x)) * 4 + 3)];
  };
  const loop = handleLoop(mug);
  const reach = handleReach(mug);
  const middle = Math.round(rowOf(stance, 50));

  test('is as long along its outside as the tape says, from joint to joint', () => {
    const line = loop?.line ?? [];
    const length = line.slice(1).reduce((sum, { out, up }, i) => sum + Math.hypot(out - line[i].out, up - line[i].up), 0);
    expect(length + Math.PI * (loop?.radius ?? 0)).toBeCloseTo(120, 0);
    expect([line[0].up, line[line.length - 1].up]).toEqual([20, 80]);
    expect(line[0].out).toBeCloseTo(100 / Math.PI, 9);
  });
  test('stands beside the cup a quarter turn from the front, and turns with it', () => {
    const bar = (reach - (loop?.radius ?? 0)) * stance.scale;
    const [blue, none] = [painted(0), painted(Math.PI)];
    expect(blue(stance.axis + bar, middle)[1]).toBeGreaterThan(100);
    expect(blue(stance.axis - bar, middle)).toEqual([0, 0, 0]);
    expect(none(stance.axis - bar, middle)[1]).toBeGreaterThan(100);
  });
  test('hides what is behind it in front, and is hidden at the back', () => {
    const green = ([, g]: number[]) => g > 60;
    expect(green(painted(-Math.PI / 2)(stance.axis, middle))).toBe(true);
    expect(green(painted(Math.PI / 2)(stance.axis, middle))).toBe(false);
  });
  test('has room in its picture, however it is turned', () => {
    expect(reach * stance.scale).toBeLessThanOrEqual(70 + 1e-9);
    expect(figureBox(mug, 2).width).toBeGreaterThan(figureBox(cup, 2).width);
  });
  test('too short a tape for its joints is a straight bar, no fault', () => {
    const short = handleLoop({ stations, handle: { ...handle, length: 5 } });
    expect(Math.max(...(short?.line ?? []).map(({ out }) => out))).toBeLessThan(100 / Math.PI + 1.5);
  });
});

test.each([
  ['a cup that turns, of several parts', wall(), cupLight(64, 0.7)],
  ['a flat swatch of one part', swatch(), flatLight(0.2, -0.3)],
] as const)('single pixels are lit as whole pictures are: %s', (_, field, light) => {
  const whole = new Uint32Array(litField(field, light).buffer);
  const lit = litPixels(field, light);
  const seen = [...whole.keys()].filter((at) => whole[at] !== 0);
  expect(seen.length).toBeGreaterThan(200);
  expect(seen.filter((at) => lit(Math.floor(at / field.width), at % field.width) !== whole[at])).toEqual([]);
});

import {
  areaSchema,
  circumferenceAt,
  createPlanner,
  cupSchema,
  designSchema,
  heightOf,
  inPolygon,
  layoutOf,
  radiusOf,
  randomStream,
  regionArea,
  scatterPlaces,
  settingsSchema,
  defaultSettings,
  typicalCups,
  wallLength,
  wallMeasure,
  type Area,
  type Cup,
  type Region,
  type ScatterWish,
} from '@aurantia/core';
import { templatePages, templatesOf, usualWishes } from '@aurantia/core/templates';
import { templatePdf } from '../server/src/template/template-pdf';
import { medianOf, medianOfAsync, type Row } from './measure';

const curved = cupSchema.parse(typicalCups.find((cup) => cup.shape === 'curved' && cup.volume === 550));
const LOW = 0;

function motifs(count: number, width: number, seed = 5): Area {
  return areaSchema.parse({
    kind: 'scatter',
    id: 'motifs',
    name: 'Motifs',
    outline: { shape: 'star' },
    width,
    count,
    seed,
    clearance: 0.5,
    turn: 'any',
    lower: { by: 'foot', mm: LOW },
    upper: { by: 'rim', mm: 0 },
  });
}
const band: Area = areaSchema.parse({
  kind: 'band',
  id: 'band',
  name: 'Band',
  lower: { level: { by: 'foot', mm: 0 } },
  upper: { level: { by: 'rim', mm: 0 }, teeth: { line: 'zigzag', count: 12, depth: 6 } },
});

/** A plain count of cells of 0.25 mm whose middle lies in a region, each weighed by the wall it stands for; cm². */
function rasterCount(region: Region, cup: Cup, step = 0.25): number {
  const { stations } = cup;
  const top = heightOf(cup);
  let mm2 = 0;
  for (let height = step / 2; height < top; height += step) {
    const round = circumferenceAt(stations, height);
    const columns = Math.round(round / step);
    const cell = (round / columns) * wallLength(stations, height - step / 2, Math.min(top, height + step / 2));
    const row = region.filter(([outline]) => outline.some(([, h]) => h >= height) && outline.some(([, h]) => h <= height));
    for (let column = 0; column < columns; column += 1) {
      const angle = ((column + 0.5) * 360) / columns;
      if (row.some((polygon) => inPolygon(polygon, angle, height))) mm2 += cell;
    }
  }
  return mm2 / 100;
}

/** 500 motifs cut out of a toothed band on a curved cup: all regions and their cm², against counting cells. */
function exactAreas(): Row {
  let seed = 100;
  // A new seed each round, so that nothing is remembered; the places themselves are worked out too.
  const exact = medianOf(9, () => layoutOf(curved, [band, motifs(500, 5, (seed += 1))]));
  const layout = layoutOf(curved, [band, motifs(500, 5)]);
  const region = layout.areas[1].region;
  const placed = layout.areas[1].motifs?.placed ?? 0;
  const area = regionArea(curved.stations, region);
  const clippedOnly = medianOf(9, (round) => layoutOf({ ...curved }, [{ ...band, name: `Band ${round}` }, layoutKept]));
  let counted = 0;
  const raster = medianOf(3, () => (counted = rasterCount(region, curved)));
  return {
    what: `exact areas of ${placed} motifs in a toothed band against a raster count at 0.25 mm`,
    figure: `${(raster / exact).toFixed(0)} × faster, motifs scattered anew (${(raster / clippedOnly).toFixed(0)} × on the next cup); ${area.toFixed(3)} against ${counted.toFixed(3)} cm², ${(Math.abs(counted / area - 1) * 100).toFixed(2)} % apart`,
    aim: '≥ 10 ×',
  };
}
const layoutKept = motifs(500, 5);

/** Every dart measured against every spot that is there. */
function plainDarts(wish: ScatterWish): number {
  const random = randomStream(wish.seed);
  const measure = wallMeasure(wish.stations);
  const [low, high] = [measure.below(wish.from), measure.below(wish.to)];
  const spots: { angle: number; along: number; radius: number }[] = [];
  for (let dart = 0; dart < 4e6 && spots.length < wish.count; dart += 1) {
    const height = measure.heightWith(low + random() * (high - low));
    const spot = {
      angle: random() * 360,
      along: wallLength(wish.stations, 0, height),
      radius: radiusOf(circumferenceAt(wish.stations, height)),
    };
    const free = spots.every((other) => {
      const turn = Math.abs(other.angle - spot.angle);
      const round = ((other.radius + spot.radius) / 2) * Math.min(turn, 360 - turn) * (Math.PI / 180);
      return Math.hypot(round, other.along - spot.along) >= wish.apart;
    });
    if (free) spots.push(spot);
  }
  return spots.length;
}

function scatter(): Row {
  const wish: ScatterWish = {
    stations: curved.stations,
    from: 2,
    to: 126,
    count: 2000,
    apart: 2.9,
    dense: 0,
    seed: 9,
    allows: () => true,
  };
  let placed = 0;
  const grid = medianOf(5, () => (placed = scatterPlaces(wish).length));
  let darts = 0;
  const plain = medianOf(1, () => (darts = plainDarts(wish)));
  return {
    what: 'scatter of 2,000 spots, none nearer than 2.9 mm, against plain dart throwing',
    figure: `${(plain / grid).toFixed(0)} × faster; ${placed} placed against ${darts}`,
    aim: '–',
  };
}

async function wrapPdf(): Promise<Row> {
  const design = designSchema.parse({
    version: 2,
    id: 'bench',
    name: 'Bench',
    cup: typicalCups.find((cup) => cup.shape === 'tapered' && cup.volume === 900),
    areas: [band, motifs(200, 6)],
    blends: [],
    coats: [],
  });
  const plan = createPlanner()(design, { settings: settingsSchema.parse(defaultSettings), shelf: [] });
  let pages = 0;
  const drawn = medianOf(5, () => {
    const [wrap] = templatesOf(design, plan);
    pages = templatePages(wrap.draw(usualWishes), 'A4').length;
  });
  const wrap = templatesOf(design, plan)[0].draw(usualWishes);
  const whole = await medianOfAsync(5, async () => {
    await templatePdf(wrap.title, templatePages(wrap, 'A4'));
  });
  return {
    what: 'full wrap with 200 motifs as PDF against laying out its pages alone',
    figure: `${(whole / drawn).toFixed(1)} × (${pages} pages A4)`,
    aim: '–',
  };
}

export const surfaceRows = async (): Promise<readonly Row[]> => [exactAreas(), scatter(), await wrapPdf()];

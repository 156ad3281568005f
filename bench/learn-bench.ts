import { readFileSync } from 'node:fs';
import {
  designFileSchema,
  labOf,
  planOf,
  randomStream,
  reflectanceOf,
  learning,
  type KeptReading,
  type Reading,
} from '@aurantia/core';
import { readCupPhoto } from '@aurantia/core/cup-photo';
import sharp from 'sharp';
import { ratioOf, type Row } from './measure';

/** Weighings of a glue, as uneven as hands are, one in fifty a slip. */
function weighings(count: number): readonly Reading[] {
  const random = randomStream(7);
  return Array.from({ length: count }, (_, i) => {
    const [deep, grams] = [1 + 3 * random(), 2 + 4 * random()];
    const kept = ((grams * 2.1 * (1 - Math.exp(-deep / 2.1))) / deep) * (0.9 + 0.2 * random());
    return { about: 'hold', item: 'glue', pours: [{ deep, grams }], kept: i % 50 === 0 ? kept * 3 : kept };
  });
}

const [WIDE, HIGH] = [4000, 3000];

/** A cup of the demo read off a photo of twelve megapixels, beside unpacking that photo. */
async function photoRow(): Promise<Row> {
  const text = readFileSync(new URL('../demo/designs/copper-eaves.json', import.meta.url), 'utf8');
  const { design, shelf } = designFileSchema.parse(JSON.parse(text));
  const settings = JSON.parse(readFileSync(new URL('../demo/settings.json', import.meta.url), 'utf8')) as Parameters<
    typeof planOf
  >[1]['settings'];
  const { places } = planOf(design, { settings, shelf });
  const noise = randomStream(3);
  const pixels = Uint8ClampedArray.from({ length: 4 * WIDE * HIGH }, (_, i) => (i % 4 === 3 ? 255 : 60 + 120 * noise()));
  const raw = { width: WIDE, height: HIGH, channels: 4 } as const;
  const jpeg = await sharp(pixels, { raw }).flatten().jpeg({ quality: 90 }).toBuffer();
  const { stations } = design.cup;
  const [foot, rim] = [stations[0], stations[stations.length - 1]];
  const tall = 0.7 * HIGH;
  const half = (tape: number) => (tall * tape) / Math.PI / rim.height / 2;
  const photo = {
    picture: { pixels, width: WIDE, height: HIGH },
    handles: {
      rimLeft: [WIDE / 2 - half(rim.circumference), 400],
      rimRight: [WIDE / 2 + half(rim.circumference), 400],
      footLeft: [WIDE / 2 - half(foot.circumference), 400 + tall],
      footRight: [WIDE / 2 + half(foot.circumference), 400 + tall],
    },
    cards: [{ seen: '#c0b8a0', is: '#c8c8c8' }],
    stations,
    faces: 180,
    places: places.map(({ id, name, region }) => ({ id, name, region, expected: labOf(reflectanceOf('#808080')) })),
  } as const;
  const { text: figure } = await ratioOf(
    () => readCupPhoto(photo),
    () => sharp(jpeg).raw().toBuffer(),
  );
  return { what: 'A cup read off a photo of 12 megapixels, against unpacking the photo', figure, aim: '≤ 3 ×' };
}

/** So many were learnt from, and so many more come one by one: as many of them slips as of those before. */
const [BEFORE, MORE] = [2000, 50];

export async function learnRows(): Promise<readonly Row[]> {
  const all = weighings(BEFORE + MORE).map((reading, i): KeptReading => ({ id: `${i}`, at: '', said: 'nothing', reading }));
  const after = Array.from({ length: MORE }, (_, i) => all.slice(0, BEFORE + i + 1));
  const before = learning(all.slice(0, BEFORE), 2.4);
  const { text } = await ratioOf(
    () => after.map((readings) => learning(readings, 2.4)),
    () => after.reduce((soFar, readings) => learning(readings, 2.4, soFar), before),
  );
  return [
    {
      what: 'Fifty more of 2,000 weighings, a slip among them, each learnt from scratch with all before it, against each taken in, as the program does after a coat',
      figure: text,
      aim: '≥ 50 ×',
    },
    await photoRow(),
  ];
}

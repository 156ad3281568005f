import { frontAngle, hexOfLab, type Triple } from '@aurantia/core';
import { expectedPlaces, type Make } from '@aurantia/core/make';
import sharp from 'sharp';
import { photographed, type Camera } from '../../core/test/photographed';

/** Its white balance off, light from one side, a little noise. */
const camera: Camera = { tilt: 0, away: 3000, gains: [1.15, 0.95, 0.72], side: 0.4, from: 40, noise: 2, seed: 4 };

/** A grey wall that gets darker to the right, and the table that the cup stands on; linear sRGB. */
const behind = (x: number, y: number): Triple =>
  y > 0.78 ? [0.3, 0.22, 0.15] : [0.55 - 0.2 * x, 0.56 - 0.2 * x, 0.55 - 0.2 * x];

/** A made cup, its lip bare, as a camera that isn't there sees it, a white card beside it and a grey one; PNG. */
export async function photoOf(make: Make): Promise<Buffer> {
  const places = expectedPlaces(make).map((place) => ({ ...place, hex: hexOfLab(place.expected) }));
  const size = {
    width: 600,
    height: 800,
    fills: 0.66,
    card: '#f0f0ee',
    second: '#777777',
    bare: '#d4d6d8',
    behind,
    faces: frontAngle(make.design.cup),
  };
  const { picture } = photographed(make.design.cup.stations, places, camera, size);
  const raw = { width: picture.width, height: picture.height, channels: 4 } as const;
  return sharp(Buffer.from(picture.pixels), { raw }).png().toBuffer();
}

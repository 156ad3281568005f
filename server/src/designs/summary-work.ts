import { createHash } from 'node:crypto';
import { cupField, designLine, fieldPlanOf, flakeField, planOf, type Cup, type DesignLine, type FieldPlan } from '@aurantia/core';
import { figureBox, figureStance, handleColour, mouthColours, mouthOf, paintedCup } from '@aurantia/core/figure';
import sharp from 'sharp';
import type { Reading } from '../aside/reading';
import { PROGRAM } from '../workshop/stamp';

export interface SummaryAsked {
  readonly id: string;
}

/** What a design looks like among others, and how far it is. */
export interface Summary extends DesignLine {
  /** what it is of: the design's revision, and the state of the workshop */
  readonly revision: number;
  readonly stamp: string;
  /** what its picture is painted from, in short */
  readonly painted: string;
  /** null where the one kept was painted from the same */
  readonly picture: Picture | null;
}

interface Picture {
  /** WebP, `DOTS` to a css pixel */
  readonly picture: Uint8Array;
  /** css pixels at one a mm */
  readonly width: number;
  readonly height: number;
}

/** Css pixels a mm at which a cup is shown largest among others, and dots painted for each. */
const SCALE = 1.22;
const DOTS = 2;
/** Between this and 100 no eye tells the pictures apart, and they take twice the room. */
const QUALITY = 72;

/** A design's line and picture: the cup from the side, flakes and all, as it comes out. */
export async function summaryOf({ id }: SummaryAsked, from: Reading): Promise<Summary> {
  const { document, revision } = await from.designs.newest(id);
  const { workshop, stamp } = await from.workshop();
  const plan = planOf(document, workshop);
  const [field, handle] = [fieldPlanOf(plan), handleColour(plan)];
  const painted = shortFor([PROGRAM, field, document.cup, handle]);
  const kept = await from.store.selectFrom('summary').where('design_id', '=', id).select('painted').executeTakeFirst();
  // A jar weighed or a day gone by changes lines, seldom pictures; and painting takes most of the time.
  const picture = kept?.painted === painted ? null : await paintedFrom(field, document.cup, handle);
  return { revision, stamp, ...designLine(plan), painted, picture };
}

const shortFor = (made: readonly unknown[]): string => createHash('sha256').update(JSON.stringify(made)).digest('base64url');

async function paintedFrom(plan: FieldPlan, cup: Cup, handle: string): Promise<Picture> {
  const box = figureBox(cup, SCALE);
  const [width, height] = [box.width * DOTS, box.height * DOTS];
  const stance = figureStance(cup, SCALE, DOTS);
  const field = flakeField(cupField(plan, cup, SCALE * DOTS));
  const pixels = paintedCup(field, cup, { width, height, stance, turn: 0, handle });
  const picture = await sharp(pixels, { raw: { width, height, channels: 4 } })
    .composite([{ input: Buffer.from(mouth(width, height, mouthOf(cup.stations, stance))) }])
    .webp({ quality: QUALITY, effort: 3 })
    .toBuffer();
  return { picture: new Uint8Array(picture), width: box.width / SCALE, height: box.height / SCALE };
}

/** The open rim as a drawing of the picture's own size. */
function mouth(width: number, height: number, { x, y, across, down, line }: ReturnType<typeof mouthOf>): string {
  const { left, middle, right, rim } = mouthColours;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><defs><linearGradient id="in"><stop offset="0" stop-color="${left}"/><stop offset="0.55" stop-color="${middle}"/><stop offset="1" stop-color="${right}"/></linearGradient></defs><ellipse cx="${x}" cy="${y}" rx="${across}" ry="${down}" fill="url(#in)" stroke="${rim}" stroke-width="${line}"/></svg>`;
}

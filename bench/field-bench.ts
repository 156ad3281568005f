import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import {
  createPlanner,
  cupField,
  cupLight,
  designFileSchema,
  fieldOf,
  fieldPlanOf,
  fieldWork,
  droppedStripe,
  litField,
  stripesOf,
  type Cup,
  type DroppedStripe,
  type FieldPlan,
} from '@aurantia/core';
import { ratioOf, type Row } from './measure';

interface Picture {
  readonly plan: FieldPlan;
  readonly cup: Cup;
  readonly pixelsPerMm: number;
}

/** A demo design’s picture, with its flakes as they are or with every kind hiding what lies under it. */
function pictureOf(name: string, pixelsPerMm: number, hiding: boolean): Picture {
  const path = join(import.meta.dirname, '..', 'demo', 'designs', `${name}.json`);
  const { design, shelf, settings } = designFileSchema.parse(JSON.parse(readFileSync(path, 'utf8')));
  const jars = shelf.map((item) =>
    hiding && item.kind === 'glitter' ? { ...item, flake: { ...item.flake, kind: 'solid' as const, opacity: 1 } } : item,
  );
  return { plan: fieldPlanOf(createPlanner()(design, { shelf: jars, settings })), cup: design.cup, pixelsPerMm };
}

/** As the page does it: a helper a core beside this one, each its rows of the picture. */
class Crew {
  private readonly helpers: readonly Worker[];
  constructor(hands: number) {
    this.helpers = Array.from(
      { length: hands - 1 },
      () => new Worker(new URL('./field-helper-start.mjs', import.meta.url), { execArgv: [] }),
    );
  }

  async picture(picture: Picture): Promise<void> {
    const request = cupField(picture.plan, picture.cup, picture.pixelsPerMm);
    const cuts = stripesOf(request.height, 1 + this.helpers.length);
    const theirs = this.helpers.map(
      (helper, i) =>
        new Promise<DroppedStripe>((resolve) => {
          helper.once('message', resolve);
          helper.postMessage({ ...picture, from: cuts[i + 1], to: cuts[i + 2] });
        }),
    );
    const work = fieldWork(request);
    const own = droppedStripe(work, 0, cuts[1]);
    litField(fieldOf(work, [own, ...(await Promise.all(theirs))]), cupLight(request.width, 0));
  }

  async end(): Promise<void> {
    await Promise.all(this.helpers.map((helper) => helper.terminate()));
  }
}

/** The pixels of a picture filled once, on the same memory. */
function filling(count: number): () => void {
  const pixels = new Uint32Array(count);
  let round = 0;
  return () => {
    round += 1;
    for (let at = 0; at < pixels.length; at += 1) pixels[at] = 0xff2a1b00 + round;
  };
}

async function row(what: string, picture: Picture, hands: number, aim: string): Promise<Row> {
  const crew = new Crew(hands);
  const request = cupField(picture.plan, picture.cup, picture.pixelsPerMm);
  const { flakes } = fieldWork(request);
  const { text } = await ratioOf(() => crew.picture(picture), filling(request.width * request.height));
  await crew.end();
  return {
    what: `${(flakes / 1e6).toFixed(1)} million flakes of cuts 0.2 to 1 mm, ${what}, a wrap ${request.width} wide, by ${hands} ${hands === 1 ? 'hand' : 'hands'}, against one fill of the same pixels`,
    figure: text,
    aim,
  };
}

export async function fieldRows(): Promise<readonly Row[]> {
  const cores = Math.max(2, availableParallelism());
  const [hiding, through] = [true, false].map((solid) => pictureOf('copper-eaves', 14, solid));
  return [
    await row('all hiding', hiding, 1, '–'),
    await row('all hiding', hiding, cores, '≤ 12 × on two cores'),
    await row('a third see-through', through, 1, '–'),
    await row('a third see-through', through, cores, '≤ 40 × on two cores'),
    await row('a third see-through', pictureOf('copper-eaves', 4, false), cores, '–'),
  ];
}

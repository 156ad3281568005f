import { deltaE2000, labOf, labOfXyz, xyzOf, type Lab, type Triple } from '../colour';
import { facePerMl, flakeFilm, flakeRain, hides } from '../glitter';
import type { Mix, MixQuestion } from './mix-question';

/** The jars of a question as numbers: what a step of each faces you with, and its colour alone. */
export class MixColours {
  /** cm² of flake in a step, by jar */
  readonly face: Float64Array;
  /** XYZ of the whole cup in that jar alone; of see-through jars unused */
  readonly alone: readonly Triple[];
  readonly hiding: readonly boolean[];
  /** steps there are of a jar */
  readonly most: Int32Array;
  readonly steps: number;
  /** mixes worked out to the end */
  evaluated = 0;

  constructor(readonly question: MixQuestion) {
    const { jars, step, total, depth, under } = question;
    const bare = Math.exp(-depth);
    const below = xyzOf(under);
    this.steps = Math.round(total / step);
    this.face = Float64Array.from(jars, ({ glitter }) => facePerMl(glitter) * step);
    this.hiding = jars.map(({ glitter }) => hides(glitter));
    this.alone = jars.map(({ glitter }) => {
      const own = xyzOf(flakeFilm(glitter).R);
      return [0, 1, 2].map((axis) => bare * below[axis] + (1 - bare) * own[axis]) as unknown as Triple;
    });
    this.most = Int32Array.from(jars, ({ left }) =>
      left === null ? this.steps : Math.min(this.steps, Math.floor(left / step + 1e-9)),
    );
  }

  /** A mix with the colour it has and how far that is from the target. */
  mix(parts: Mix['parts']): Mix {
    this.evaluated += 1;
    const lab = this.labOf(parts);
    return { parts, lab, difference: deltaE2000(this.question.target, lab) };
  }

  private labOf(parts: Mix['parts']): Lab {
    const { jars, step, depth, under } = this.question;
    if (!parts.every(({ jar }) => this.hiding[jar]))
      return labOf(
        flakeRain(
          parts.map(({ jar, steps }) => ({ glitter: jars[jar].glitter, ml: steps * step })),
          depth,
          under,
        ),
      );
    // Hiding flakes mix by a plain sum of light, and so do their XYZ.
    const sum = [0, 0, 0];
    let face = 0;
    for (const { jar, steps } of parts) {
      const share = steps * this.face[jar];
      face += share;
      for (let axis = 0; axis < 3; axis += 1) sum[axis] += share * this.alone[jar][axis];
    }
    return labOfXyz([sum[0] / face, sum[1] / face, sum[2] / face]);
  }
}

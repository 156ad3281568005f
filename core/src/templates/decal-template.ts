import { filling, type Outline } from '../motif';
import { decalFit, type Decal, type FlatPoint, type Station } from '../vessel';
import { mark, sheetAround, type Template, type TemplateLine } from './template';

/** A flat decal with its middle lines, and slits where the wall makes it need them. */
export function decalTemplate(
  name: string,
  decal: Decal,
  stations: readonly Station[],
  outline: Outline | null = null,
): Template {
  const fit = decalFit(stations, decal);
  const { width, height } = decal;
  const shape = filling(outline, height / width).flat();
  const edges = shape.map((ring): TemplateLine => ({
    role: 'cut',
    points: ring.map(([x, y]): FlatPoint => [width * (x + 0.5), height / 2 - width * y]),
    closed: true,
  }));
  // A shape of its own lies down between its own edges.
  const sides = outline === null ? fit.slits / 2 : 0;
  const slits = Array.from({ length: sides }, (_, i): readonly TemplateLine[] => {
    const x = (width * (i + 1)) / (sides + 1);
    const cut = (from: FlatPoint, to: FlatPoint): TemplateLine => ({ role: 'cut', points: [from, to], closed: false });
    return [cut([x, 0], [x, fit.slitDepth]), cut([x, height], [x, height - fit.slitDepth])];
  }).flat();
  return {
    title: `${name}, decal`,
    says: [
      `It wraps ${fit.wrap.toFixed(0)}° of the cup. Its centre lies ${fit.centreFromSeam.toFixed(1)} mm from the seam by the tape, ${decal.centre} mm above the foot.`,
      ...fit.says,
    ],
    warns: null,
    sheets: [
      sheetAround(name, [
        ...edges,
        ...slits,
        mark([width / 2, 0], [width / 2, height]),
        mark([0, height / 2], [width, height / 2]),
      ]),
    ],
  };
}

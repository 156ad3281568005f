import { radiusOf, type Cup, type FlatPoint } from '../vessel';
import { circleLine, mark, sheetAround, type Template, type TemplateLine } from './template';

/** The disc of the base: folded along its lines it finds the centre, its mark lies at the seam. */
export function baseTemplate(cup: Cup): Template {
  const radius = cup.recess ? cup.recess.diameter / 2 : radiusOf(cup.stations[0].circumference);
  const centre: FlatPoint = [0, 0];
  const at = (turn: number, out: number): FlatPoint => [
    out * Math.sin((turn * Math.PI) / 180),
    -out * Math.cos((turn * Math.PI) / 180),
  ];
  const fold = (turn: number): TemplateLine => ({
    role: 'fold',
    points: [at(turn, radius), at(turn + 180, radius)],
    closed: false,
  });
  const lines = [
    circleLine('cut', centre, radius),
    ...[0, 45, 90, 135].map(fold),
    mark(at(0, radius), at(0, radius - 8)),
    mark(at(180, radius), at(180, radius - 4)),
  ];
  const seam = cup.seam ? `the seam (${cup.seam})` : 'the seam';
  return {
    title: 'Base disc',
    says: [
      `${(radius * 2).toFixed(1)} mm across, ${cup.recess ? `for the recess, ${cup.recess.depth} mm deep` : 'for the foot'}. Fold along the lines: they cross at the centre.`,
      `Lay the long mark at ${seam}; the short one is opposite.`,
    ],
    warns: null,
    sheets: [sheetAround('Base disc', lines, [{ at: at(4, radius - 6), text: 'seam' }])],
  };
}

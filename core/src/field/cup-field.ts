import { LEFT_OVER } from '../layout';
import { beforeFilms, groundLook } from '../look';
import type { Plan } from '../plan';
import { seedOf } from '../random';
import { circumferenceAt, type Cup } from '../vessel';
import type { FieldRequest } from './field';
import { cupLight } from './field-light';
import { withPieces, type FieldPlace } from './laid-pieces';
import { withPattern } from './laid-pattern';
import { withStrings } from './run-colour';
import { flatSpot, onWall, type SpotOfPixel } from './spot-of-pixel';
import { allPixels, regionPixels } from '../regions';

/** The part of a plan that the picture is made from; small enough to hand to a worker. */
export type FieldPlan = Pick<
  Plan,
  'design' | 'surface' | 'places' | 'leftOver' | 'looks' | 'bareWall' | 'pieces' | 'strings' | 'patterns'
>;

export const fieldPlanOf = ({
  design,
  surface,
  places,
  leftOver,
  looks,
  bareWall,
  pieces,
  strings,
  patterns,
}: Plan): FieldPlan => ({
  design,
  surface,
  leftOver,
  places,
  looks,
  bareWall,
  pieces,
  strings,
  patterns,
});

/** The same with no film over its last flakes: what a glitter coat is like before its ink. */
export const bareFieldPlanOf = (plan: Plan): FieldPlan => ({
  ...fieldPlanOf(plan),
  strings: [],
  patterns: [],
  looks: Object.fromEntries(Object.entries(plan.looks).map(([place, look]) => [place, beforeFilms(look)])),
});

/**
 * The whole wall of a planned cup as a field: rim at the top, seam at both sides.
 * @param pixelsPerMm at the widest tape reading
 */
export function cupField(plan: FieldPlan, cup: Cup, pixelsPerMm: number): FieldRequest {
  const { height } = plan.surface;
  const widest = Math.max(...cup.stations.map((station) => station.circumference));
  const columns = Math.max(8, Math.round(widest * pixelsPerMm));
  const rows = Math.max(8, Math.round(height * pixelsPerMm));
  const rowsPerMm = rows / height;
  const picture = { width: columns, height: rows, top: height, rowsPerMm };
  const columnsPerMm = (row: number) =>
    columns / circumferenceAt(cup.stations, Math.min(height, Math.max(0, height - (row + 0.5) / rowsPerMm)));
  const places: FieldPlace[] = [{ id: LEFT_OVER, region: plan.leftOver }, ...plan.places].map(({ id, region }) => ({
    id,
    pixels: regionPixels(region, picture),
    look: plan.looks[id],
  }));
  return {
    width: columns,
    height: rows,
    rowsPerMm,
    columnsPerMm,
    regions: withPieces(withColours(places, plan, onWall(picture)), plan.pieces, { ...picture, columnsPerMm }, cup.stations),
    ground: plan.bareWall,
    seed: seedOf(plan.design),
    wraps: true,
    light: cupLight(columns, 0),
  };
}

/** Places with the ink and the pearl that lie on them in lines and patterns. */
const withColours = (
  places: readonly FieldPlace[],
  { strings, patterns }: FieldPlan,
  spotOf: SpotOfPixel,
): readonly FieldPlace[] =>
  // From the last one down: what is put between the layers above moves nothing below.
  [...strings, ...patterns]
    .sort((one, other) => other.at - one.at)
    .reduce<readonly FieldPlace[]>(
      (parts, one) => ('films' in one ? withPattern(parts, one, spotOf) : withStrings(parts, one, spotOf)),
      places,
    );

/** A flat square of one area, as glued on card. */
export function swatchField(plan: FieldPlan, area: string, side: number, pixelsPerMm: number): FieldRequest {
  const size = Math.round(side * pixelsPerMm);
  const region = plan.places.find(({ id }) => id === area)?.region ?? plan.leftOver;
  const whole: FieldPlace = { id: area, pixels: allPixels(size, size), look: plan.looks[area] ?? [groundLook(plan.bareWall)] };
  return {
    width: size,
    height: size,
    rowsPerMm: pixelsPerMm,
    columnsPerMm: () => pixelsPerMm,
    regions: withColours([whole], plan, flatSpot(size, pixelsPerMm, plan, region)),
    ground: plan.bareWall,
    seed: seedOf(`${plan.design}/${area}`),
    wraps: false,
  };
}

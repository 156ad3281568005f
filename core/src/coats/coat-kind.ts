import type { Spectrum } from '../colour';
import type { CoatedWhere, CoatHeights, CoatKindName, CoatOf, Settings } from '../design';
import { liesBetween, type CoatLevels, type CupPlaces } from '../layout';
import { cureFactor } from '../resin';
import type { ItemOf, ShelfItem } from '../stock';
import type { Station } from '../vessel';
import { lengthText, listText } from '../units';
import type { Grounds } from './ground';
import type { Light } from './light';
import type { PlannedCoat, PlannedWait } from './planned-coat';
import type { ReadyBlend } from './ready-blend';

/** The base colour of a place where the base fades. */
export interface FadedBase {
  readonly spectrum: Spectrum;
  readonly colour: string;
}

/** What a coat can know while it is laid. */
export interface CoatContext extends CupPlaces {
  readonly settings: Settings;
  readonly shelf: readonly ShelfItem[];
  readonly fadedBases: Readonly<Record<string, FadedBase>>;
  readonly blends: readonly ReadyBlend[];
  /** the work on spectra, remembered between plans */
  readonly light: Light;
  /** the coat that comes after this one */
  readonly next: CoatKindName | null;
  /** what the soft coat under it still needs once nothing more is laid into it */
  readonly setting: Setting;
  /** ml of this coat's resin that the coats laid into it want held back */
  readonly heldBack: number;
  /** places that a mask keeps covered while this coat is laid */
  readonly covered: ReadonlySet<string>;
  readonly stations: readonly Station[];
  readonly levels: CoatLevels;
}

/** What a soft coat still needs; of resin also when it is tacky, for what is laid on it then. */
export interface Setting extends PlannedWait {
  readonly tack?: PlannedWait;
  /** the wet resin itself */
  readonly wet?: WetResin;
}

/** Resin just spread, that colour may be laid into. */
export interface WetResin {
  readonly item: ItemOf<'resin'>;
  /** mm */
  readonly thickness: number;
}

export type CoatBody = Omit<PlannedCoat, 'id' | 'kind' | 'seen' | 'thick'>;

export interface LaidCoat {
  readonly body: CoatBody;
  readonly grounds: Grounds;
  /** setting that the coats after it have to allow for */
  readonly setting?: Setting;
}

/** What a new coat of a kind starts from; null where nothing on the shelf fits. */
export interface StartingPoint {
  readonly shelf: readonly ShelfItem[];
  readonly height: number;
  readonly stations: readonly Station[];
  /** degrees from the seam where a piece is seen first and nothing is in its way */
  readonly front: number;
}

/** What kinds of coat serve, in the order of work. */
export type CoatGroup = 'under' | 'masks' | 'flakes' | 'closing' | 'colour' | 'laid on' | 'end';

/** One kind of coat: how it is named, begun and laid. */
export interface CoatKind<Kind extends CoatKindName> {
  readonly kind: Kind;
  readonly name: string;
  readonly group: CoatGroup;
  /** one line for whoever meets the word for the first time */
  readonly explains: string;
  start(from: StartingPoint): Omit<CoatOf<Kind>, 'id'>;
  lay(coat: CoatOf<Kind>, grounds: Grounds, context: CoatContext): LaidCoat;
}

/** A body with everything a coat needn't have left empty. */
export function bodyOf(body: Pick<CoatBody, 'title' | 'does' | 'waitsFor' | 'handsOn' | 'wait'> & Partial<CoatBody>): CoatBody {
  return {
    where: 'the whole cup',
    needs: [],
    area: null,
    thickness: null,
    mix: null,
    pours: [],
    drops: [],
    strings: null,
    pattern: null,
    graded: null,
    uses: [],
    cautions: [],
    ...body,
  };
}

/** Where a coat is said to go. */
export interface CoatedPlaces {
  readonly on: CoatedWhere;
  readonly between?: CoatHeights | undefined;
}

/** The places of a coat, whatever covers them. */
export function everyPlaceOf(
  { on, between }: CoatedPlaces,
  context: Pick<CoatContext, 'sizes' | 'pots' | 'heights'>,
): readonly string[] {
  const all = Object.keys(context.sizes);
  const places = on === 'all' ? all : on.flatMap((id) => context.pots[id] ?? [id]).filter((id) => id in context.sizes);
  return between ? places.filter((place) => liesBetween(context.heights[place], between)) : places;
}

/** The places of a coat that it reaches: no mask covers them now. */
export const placesOf = (coat: CoatedPlaces, context: CoatContext): readonly string[] =>
  everyPlaceOf(coat, context).filter((place) => !context.covered.has(place));

/** Those of them that are no free mask either: where glue and glitter really go. */
export const openPlacesOf = (coat: CoatedPlaces, context: CoatContext): readonly string[] =>
  placesOf(coat, context).filter((place) => !context.masked.has(place));

/** What a place is a part of: itself, unless coats part it at a height. */
export const wholeOf = (place: string, { parts }: Pick<CoatContext, 'parts'>): string =>
  Object.keys(parts).find((whole) => parts[whole].includes(place)) ?? place;

export const areaOf = (places: readonly string[], context: CoatContext): number =>
  places.reduce((sum, place) => sum + context.sizes[place], 0);

export function whereText({ on, between }: CoatedPlaces, { names, settings: { units } }: CoatContext): string {
  const where = on === 'all' ? 'the whole cup' : listText(on.map((id) => names[id] ?? id));
  return between ? `${where}, from ${lengthText(between.from, units)} to ${lengthText(between.to, units)} above the foot` : where;
}

/** What cures or dries takes longer in a cold room and less in a warm one; long times to five minutes, short ones to one. */
export function inThisRoom(minutes: number, { settings }: Pick<CoatContext, 'settings'>): number {
  const here = minutes * cureFactor(settings.celsius);
  return here < 30 ? Math.round(here) : Math.round(here / 5) * 5;
}

/** How long something can be worked before it goes off in this room. */
export const openInThisRoom = (minutes: number, { settings }: Pick<CoatContext, 'settings'>): number =>
  Math.max(1, Math.round(minutes * cureFactor(settings.celsius)));

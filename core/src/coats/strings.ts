import { layOver, mixSpectra, type Film, type Spectrum } from '../colour';
import { inksOf, type CoatOf } from '../design';
import { doseOf, dropsFor, hasSolvent } from '../ink';
import { cureFactor, potLifeAt } from '../resin';
import { remember } from '../remember';
import { itemOf, mixWeight } from '../stock';
import { countText, listText, percentText } from '../units';
import { wallArea } from '../vessel';
import type { WetDrive } from '../wet';
import { areaOf, bodyOf, openPlacesOf, whereText, type CoatContext, type CoatKind, type WetResin } from './coat-kind';
import { settingWait } from './glitter';
import { changedGrounds, type Grounds } from './ground';
import type { LaidStrings, PlannedDrops } from './planned-coat';
import { stringsCover } from './strings-cover';
import { NOTHING } from './used';
import { wetMeetings } from './wet-meetings';

/** A wall partly under films, once for what lies under them. */
const partly = remember(
  (under: Spectrum, share: number, ...films: readonly Film[]): Spectrum =>
    mixSpectra([under, ...films.map((film) => layOver(film, under))], [1 - share, ...films.map(() => share / films.length)]),
  256,
);
/** The label's pot life is of so much in the pot, and so much has rested in it. */
const LABELLED = 100;

export const strings: CoatKind<'strings'> = {
  kind: 'strings',
  name: 'Strings of colour',
  group: 'colour',
  explains:
    'Pots of tinted resin laid into a wet coat: lines foot to rim, rings, along an edge or in drops, which then run and settle.',
  start: ({ shelf }) => ({
    kind: 'strings',
    note: '',
    on: 'all',
    way: 'up',
    ink: shelf.find((item) => item.kind === 'ink')?.id ?? NOTHING,
    load: 3,
    ml: 3,
    count: 6,
    width: 4,
    reach: null,
    rest: 15,
    slope: 10,
    wander: 4,
    area: null,
    lean: 0,
    air: null,
    seed: 1,
  }),
  lay(coat, grounds, context) {
    const places = openPlacesOf(coat, context);
    const wet = context.setting.wet ?? null;
    const inks = inksOf(coat).flatMap(({ ink, load }) => {
      const found = itemOf(context.shelf, ink, 'ink');
      return found ? [{ ink: found, load }] : [];
    });
    const each = coat.ml / Math.max(1, inks.length);
    // A pot this small has whole drops in it too: what they really are is what is seen.
    const drops = inks.map(({ ink, load }): PlannedDrops => {
      const counted = dropsFor(load, each, ink.dropMl);
      return { item: ink.id, ink: ink.name, count: counted.drops, load: counted.load, dose: doseOf(ink) };
    });
    const laid =
      wet && inks.length > 0
        ? laidStrings(
            coat,
            wet,
            inks.map(({ ink }, i) => ({ ml: each, ink, load: drops[i].load })),
            { ...context, under: mostOf(places, grounds, context) },
          )
        : null;
    const area = areaOf(places, context);
    return {
      grounds: laid && laid.covers > 0 ? seenThrough(grounds, places, laid, context) : grounds,
      setting: context.setting,
      body: bodyOf({
        title: `Strings: ${inks.length > 0 ? listText(inks.map(({ ink }) => ink.name)) : 'an ink no longer on the shelf'}`,
        where: whereText(coat, context),
        does: strungText(coat, inks.length),
        needs: [
          ...(inks.length > 0 ? inks.map(({ ink }) => ink.name) : ['the ink']),
          inks.length > 1 ? 'a small pot for each' : 'a small pot',
        ],
        waitsFor: 'The coat under it, laid just now and still wet.',
        area,
        drops,
        strings: laid,
        handsOn: 4 + Math.ceil(coat.count / 3),
        wait: settingWait(context),
        cautions: inks.length > 0 && inks.every(({ ink }) => !hasSolvent(ink)) ? [] : ['No flame near wet ink.'],
      }),
    };
  },
};

/** How wet resin of this workshop flows: thinner in a warm room, by as much as it cures faster in it. */
const driveOf = (
  item: WetResin['item'],
  coat: Pick<CoatOf<'strings'>, 'rest' | 'lean'>,
  { settings }: Pick<CoatContext, 'settings'>,
): WetDrive => ({
  viscosity: item.viscosity * cureFactor(settings.celsius),
  potLife: potLifeAt(item.potLife, LABELLED, settings.celsius),
  density: mixWeight(item),
  rpm: settings.rpm,
  lean: coat.lean,
  rest: coat.rest,
});

function laidStrings(
  coat: CoatOf<'strings'>,
  { item, thickness: film }: WetResin,
  pots: LaidStrings['pots'],
  context: CoatContext & { readonly under: Spectrum | null },
): LaidStrings {
  const drive = driveOf(item, coat, context);
  const covers = stringsCover(coat, { film, drive }, context.stations);
  return { film, drive, pots, covers, meetings: context.under ? wetMeetings(pots, context.under) : [] };
}

/** What the largest of some places looks like; null of none. */
function mostOf(places: readonly string[], grounds: Grounds, { sizes }: Pick<CoatContext, 'sizes'>): Spectrum | null {
  const largest = places.toSorted((one, other) => sizes[other] - sizes[one]).at(0);
  return largest === undefined ? null : grounds[largest].spectrum;
}

/** What is seen from across a table: so much of it under the pots by turns, so thick that it is all there. */
function seenThrough(grounds: Grounds, places: readonly string[], laid: LaidStrings, context: CoatContext) {
  const wall = wallArea(context.stations);
  const thick = laid.pots.map(({ ml }) => (10 * ml) / ((wall * laid.covers) / laid.pots.length));
  const films = laid.pots.map(({ ink, load }, i) => context.light.tint(ink, load, thick[i]));
  const more = (10 * laid.pots.reduce((sum, { ml }) => sum + ml, 0)) / wall;
  return changedGrounds(grounds, places, (ground) => ({
    spectrum: partly(ground.spectrum, laid.covers, ...films),
    thickness: ground.thickness + more,
  }));
}

const laidText = {
  up: 'foot to rim in one stroke each, carried over both edges',
  round: 'as rings round the turning cup',
  edge: 'along the edge, with the cup turning slowly',
  drops: 'as single drops',
} as const;

function strungText({ way, count, rest, reach, width, ml, load, air }: CoatOf<'strings'>, pots: number): string {
  const what = way === 'drops' ? countText(count, 'drop') : `${countText(count, 'line')} about ${width} mm wide`;
  const how = way === 'up' && reach !== null ? 'upwards, each begun and ended on the wall' : laidText[way];
  const several =
    pots > 1
      ? `Share the ${ml} ml held back among ${pots} pots; stir each ink into its own`
      : `Stir the ink into the ${ml} ml held back`;
  const blown = air ? ` Then warm air for ${countText(air.seconds, 'second')}, moving, from a hand’s length.` : '';
  return `${several} (${percentText(load / 100, 1)} load). Let it thicken until ${rest} min after mixing, then lay ${what} ${how}${pots > 1 ? ', the pots by turns' : ''}.${blown} Look again after 12 min.`;
}

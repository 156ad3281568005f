import { glitterFill, potLifeAt } from '../resin';
import type { CoatKindName, Schools } from '../design';
import { itemOf, settingOf, type ItemOf } from '../stock';
import { amountText, durationText } from '../units';
import { areaOf, bodyOf, inThisRoom, placesOf, whereText, type CoatContext, type CoatKind, type Setting } from './coat-kind';
import { ontoTacky } from './glitter';
import { changedGrounds, type Grounds } from './ground';
import { mixOf } from './mixing';
import type { PlannedWait } from './planned-coat';
import { NOTHING } from './used';

export const RESIN_CARE = 'Nitrile gloves, eye protection, respirator and air. Follow the maker’s data sheet.';

const FLAME_CARE = 'No flame while alcohol, spray or wet ink is about; hair tied back, water at hand.';

export const resin: CoatKind<'resin'> = {
  kind: 'resin',
  name: 'Clear resin',
  group: 'closing',
  explains: 'Two parts that harden together, laid thin on the turning cup. The first coat also fills raw glitter.',
  start: ({ shelf }) => ({
    kind: 'resin',
    note: '',
    on: 'all',
    resin: shelf.find((item) => item.kind === 'resin')?.id ?? NOTHING,
    thickness: 0.4,
  }),
  lay(coat, grounds, context) {
    const item = itemOf(context.shelf, coat.resin, 'resin');
    const places = placesOf(coat, context);
    const area = areaOf(places, context);
    const fill = rawFill(grounds, places, context);
    const mix = item ? mixOf(item, { area, thickness: coat.thickness, fill, held: context.heldBack }, context.settings) : null;
    return {
      grounds: underResin(grounds, places, coat.thickness),
      setting: wetResin(item, coat.thickness, context),
      body: bodyOf({
        title: fill > 0 ? 'First resin over the glitter' : 'Clear resin',
        where: whereText(coat, context),
        does: mixingText(item, mix?.mix ?? 0, context),
        needs: resinNeeds(item),
        waitsFor: 'Everything under it dry or cured, dust wiped off.',
        area,
        thickness: coat.thickness,
        mix,
        handsOn: 15,
        wait: resinWait(item, context),
        cautions: context.settings.bubbles === 'flame' ? [RESIN_CARE, FLAME_CARE] : [RESIN_CARE],
      }),
    };
  },
};

/** ml that the raw glitter in these places soaks up. */
export function rawFill(grounds: Grounds, places: readonly string[], context: CoatContext): number {
  return places.reduce((sum, place) => sum + glitterFill(context.sizes[place], 1, grounds[place].rawMicrons), 0);
}

export const underResin = (grounds: Grounds, places: readonly string[], thickness: number): Grounds =>
  changedGrounds(grounds, places, (ground) => ({
    glue: null,
    rawMicrons: 0,
    sealed: false,
    glossy: true,
    loose: false,
    cover: ground.hasGlitter ? ground.cover + thickness : 0,
    thickness: ground.thickness + thickness,
  }));

const mixingText = (item: ItemOf<'resin'> | undefined, ml: number, context: CoatContext): string =>
  `Measure A and B. ${stirText[context.settings.mixing]} Spread foot to rim with the flat of the glove${item ? `; on the cup within ${durationText(workable(item, ml, context))}` : ''}. ${bubblesText[context.settings.bubbles]}${heldText(context)} Look again after 12 min for runs.`;

export const stirText: Readonly<Record<Schools['mixing'], string>> = {
  together: 'Stir together 3 min, scraping wall and bottom.',
  'each alone first': 'Stir each alone 1 min, then together 3 min, scraping wall and bottom.',
};

const bubblesText: Readonly<Record<Schools['bubbles'], string>> = {
  flame: 'Pass a small flame over it once, moving, with nothing that burns near.',
  'warm air': 'Bubbles: warm air from a hand’s length, moving.',
  leave: 'Leave the bubbles to rise by themselves.',
};

/** Minutes a mix stays workable in this room. A pot under 100 ml lasts a little longer, which isn't relied on. */
const workable = (item: ItemOf<'resin'>, ml: number, { settings }: CoatContext): number =>
  Math.max(1, Math.floor(potLifeAt(item.potLife, Math.max(100, ml), settings.celsius)));

export const resinNeeds = (item: ItemOf<'resin'> | undefined): readonly string[] => [
  item?.name ?? 'the resin',
  'two measures, a pot, a stick',
  'gloves',
  'turner',
];

/** Resin takes the next coat while it is tacky, or once it can be sanded; in between it bonds badly. */
export function resinWait(item: ItemOf<'resin'> | undefined, context: CoatContext): PlannedWait {
  if (context.next !== null && intoWet.includes(context.next)) return { minutes: 0, until: 'at once, while it is wet' };
  const { tack, ...cured } = resinSets(item, context);
  return tack && context.next !== null && ontoTacky.includes(context.next) ? tack : cured;
}

/** Kinds that are laid into resin while it is wet. */
export const intoWet: readonly CoatKindName[] = ['sprinkle', 'strings', 'dab'];

/** What a coat keeps back in the pot. */
export const heldText = ({ heldBack, settings }: Pick<CoatContext, 'heldBack' | 'settings'>): string =>
  heldBack > 0 ? ` Hold back ${amountText(heldBack, { ...settings.units, amount: 'ml' }, 1)} in the pot for the colour.` : '';

/** The same with the wet resin itself. */
export const wetResin = (item: ItemOf<'resin'> | undefined, thickness: number, context: CoatContext): Setting => ({
  ...resinSets(item, context),
  ...(item ? { wet: { item, thickness } } : {}),
});

/** What a coat of resin needs, and when what is laid on it bonds by itself. */
export function resinSets(item: ItemOf<'resin'> | undefined, context: CoatContext): Setting {
  if (!item) return { minutes: 0, until: 'its data sheet says so' };
  const { tackFrom, tackUntil, sandAfter } = settingOf(item);
  const [opens, closes] = [inThisRoom(tackFrom, context), inThisRoom(tackUntil, context)];
  return {
    minutes: inThisRoom(sandAfter, context),
    until: 'hard enough to sand',
    tack: { minutes: opens, until: `tacky, not wet; next coat before ${durationText(closes)}, or cure and sand`, closes },
  };
}

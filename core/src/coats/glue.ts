import { glueWayFacts, holdSpread, holdText, itemOf, settingOf } from '../stock';
import { durationText } from '../units';
import { areaOf, bodyOf, inThisRoom, openInThisRoom, openPlacesOf, whereText, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';
import { mixOf } from './mixing';
import { NOTHING, used } from './used';

export const glue: CoatKind<'glue'> = {
  kind: 'glue',
  name: 'Glue',
  group: 'flakes',
  explains: 'What the glitter sticks to. How it is done decides how much glitter stays and how long you have.',
  start: ({ shelf }) => ({
    kind: 'glue',
    note: '',
    on: 'all',
    glue: shelf.find((item) => item.kind === 'glue')?.id ?? NOTHING,
    resin: shelf.find((item) => item.kind === 'resin')?.id ?? null,
  }),
  lay(coat, grounds, context) {
    const item = itemOf(context.shelf, coat.glue, 'glue');
    const facts = item && glueWayFacts[item.way];
    const places = openPlacesOf(coat, context);
    const area = areaOf(places, context);
    const resin = facts?.film && coat.resin ? itemOf(context.shelf, coat.resin, 'resin') : undefined;
    const open = item?.open ? item.open.map((minutes) => openInThisRoom(minutes, context)) : null;
    const holds = item ? `Holds glitter ${holdText(item)}` : 'Nothing is known of this glue';
    const time = open
      ? `takes glitter for ${open[0] === open[1] ? durationText(open[0]) : `${open[0]}–${open[1]} min`}`
      : 'stays sticky for hours';
    return {
      grounds: changedGrounds(grounds, places, (ground) => ({
        glue: item ? { way: item.way, hold: item.hold, unsure: holdSpread(item), open: open?.[1] ?? null } : null,
        thickness: ground.thickness + (facts?.film ?? 0),
      })),
      setting: {
        minutes: inThisRoom((resin && settingOf(resin).sandAfter) ?? item?.dryMinutes ?? 60, context),
        until: 'the glue is set and no flake moves',
      },
      body: bodyOf({
        title: item ? `Glue: ${item.name}` : 'Glue: one no longer on the shelf',
        where: whereText(coat, context),
        does: `${facts ? `${facts.title}, thin and even; ${facts.onceDry}. ` : ''}${holds} and ${time}.`,
        needs: [item?.name ?? 'the glue', ...(resin ? [resin.name, 'gloved finger to wipe'] : ['soft brush'])],
        waitsFor: 'A dry base. A second pass only on a dry first.',
        area,
        thickness: facts?.film ?? null,
        mix: resin && facts?.film ? mixOf(resin, { area, thickness: facts.film, fill: 0 }, context.settings) : null,
        uses: facts?.wet ? used(item, (area * facts.wet) / 10) : [],
        handsOn: 8,
        wait: { minutes: 0, until: 'at once: glitter goes into it while it is soft' },
        cautions:
          item?.way === 'spray adhesive' || item?.way === 'clear spray'
            ? ['Spray outdoors or in a booth, respirator on, no flame near.']
            : resin
              ? ['Nitrile gloves, eye protection and air; resin isn’t for bare skin.']
              : [],
      }),
    };
  },
};

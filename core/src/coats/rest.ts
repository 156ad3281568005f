import { cureFactor } from '../resin';
import { bodyOf, type CoatKind } from './coat-kind';
import { changedGrounds } from './ground';

export const rest: CoatKind<'rest'> = {
  kind: 'rest',
  name: 'Rest',
  group: 'end',
  explains: 'Let the cup cure through before anybody uses it.',
  start: () => ({ kind: 'rest', note: '', hours: 72 }),
  lay: (coat, grounds, { settings, next }) => ({
    // Glue that was soft has dried by then.
    grounds: changedGrounds(grounds, Object.keys(grounds), (ground) => (ground.glue ? { glue: null } : ground)),
    body: bodyOf({
      title: next === null ? 'Rest until cured through' : 'Rest',
      does: 'Leave the cup standing, dust-free and at an even temperature.',
      waitsFor: 'The last coat, no longer sticky.',
      handsOn: 0,
      // A warm room is no reason to hand a cup over early; a cold one is a reason to wait.
      wait: {
        minutes: Math.round(coat.hours * 60 * Math.max(1, cureFactor(settings.celsius))),
        until: next === null ? 'cured through' : 'hard right through',
      },
      cautions: next !== null ? [] : ['“Cured” isn’t “food-safe”: keep resin off the lip and the inside.'],
    }),
  }),
};

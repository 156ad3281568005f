import type { Film } from '../colour';
import { filmLook } from '../look';
import type { CoatContext } from './coat-kind';
import { changedGrounds, type Ground, type Grounds } from './ground';

/**
 * Places with a film over what they show, and what else the coat changes there. Specks, flecks or scraps over a share of a
 * place count as a film that hides that share: from across a table they are seen so.
 * @param film null where what it is made of is gone: then nothing is laid
 */
export const underFilm = (
  grounds: Grounds,
  places: readonly string[],
  film: Film | null,
  { light }: Pick<CoatContext, 'light'>,
  change: (ground: Ground) => Partial<Ground> = () => ({}),
): Grounds =>
  film === null
    ? grounds
    : changedGrounds(grounds, places, (ground) => ({
        spectrum: light.over(film, ground.spectrum),
        look: [...ground.look, filmLook(film)],
        ...change(ground),
      }));

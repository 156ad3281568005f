import { mixSpectra } from '../colour';
import { doseOf } from '../ink';
import { classShares, wholeShares } from '../pattern';
import type { ItemOf } from '../stock';
import { countText } from '../units';
import { heightOf } from '../vessel';
import type { CoatContext } from './coat-kind';
import { changedGrounds, type Ground, type Grounds } from './ground';
import type { LaidPattern, PlannedUse } from './planned-coat';

/** The wall that a pattern closes round. */
export const wallOf = ({ stations }: Pick<CoatContext, 'stations'>): { readonly round: number; readonly tall: number } => ({
  round: Math.max(...stations.map(({ circumference }) => circumference)),
  tall: heightOf({ stations }),
});

/** Places under a pattern: from across a table each class is seen by its share of the place. */
export const patterned = (
  grounds: Grounds,
  places: readonly string[],
  { wish, films }: LaidPattern,
  { light, regions, stations }: Pick<CoatContext, 'light' | 'regions' | 'stations'>,
  change: (ground: Ground) => Partial<Ground> = () => ({}),
): Grounds =>
  changedGrounds(grounds, places, (ground, place) => {
    // What isn't on the wall, its underside and its handle, takes of the pattern what the wall does.
    const shares = place in regions ? classShares(wish, regions[place], stations) : wholeShares(wish, stations);
    // Nothing of it comes so high up.
    if (films.every((film, i) => film === null || shares[i] === 0)) return ground;
    return {
      spectrum: mixSpectra(
        films.map((film) => (film === null ? ground.spectrum : light.over(film, ground.spectrum))),
        shares,
      ),
      ...change(ground),
    };
  });

/** What a coat takes of an ink that is counted in drops onto the surface itself. */
export const droppedUse = (ink: ItemOf<'ink'>, drops: number): PlannedUse => ({
  item: ink.id,
  kind: 'ink',
  name: ink.name,
  amount: drops * ink.dropMl,
  reads: countText(drops, doseOf(ink)),
  counted: { count: drops, dose: doseOf(ink) },
});

/** Neat ink: nothing but itself, % of it. */
export const NEAT = 100;

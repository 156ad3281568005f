import type { Station } from '../vessel';
import type { Laying } from './laid-lines';
import type { WetDrive } from './wet-film';

/** Warm air passed over laid colour, towards one side: degrees from straight up, to the right. */
export interface AirStroke {
  readonly seconds: number;
  readonly towards: number;
}

/** Colour laid into a wet film, as numbers alone: what the flow is worked out from, here or in a worker. */
export interface WetWish {
  readonly stations: readonly Station[];
  /** mm of the clear film it is laid in */
  readonly film: number;
  readonly drive: WetDrive;
  readonly laying: Laying;
  /** mm of a line as it leaves the pot */
  readonly width: number;
  /** ml of each pot */
  readonly pots: readonly number[];
  readonly air: AirStroke | null;
}

/** Minutes after laying until nothing moves any more to speak of: three pot lives, when it is eight times as thick. */
export const stillAfter = ({ potLife }: Pick<WetDrive, 'potLife'>): number => 3 * potLife;

import { cureFactor } from './cure';

/** ml under which a pot is too small to heat itself any less. */
const LEAST_POT = 5;

/**
 * How long a mix can be worked: it goes with the room as curing does, and with the mass in the pot, which heats itself.
 * @param potLife minutes of 100 ml at 21 °C, as labels give it
 * @param ml in the pot
 * @returns minutes: `potLife·2^((21−T)/10)·(100/ml)^¼`
 */
export const potLifeAt = (potLife: number, ml: number, celsius: number): number =>
  potLife * cureFactor(celsius) * (100 / Math.max(LEAST_POT, ml)) ** 0.25;

/** Minutes it takes hands to spread a mix: 100 cm² a minute and a half, and two to begin. @param area cm² */
export const spreadMinutes = (area: number): number => 2 + (1.5 * area) / 100;

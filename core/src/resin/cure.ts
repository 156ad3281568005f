/** How much longer curing takes than at 21 °C: every 10 °C halves or doubles it. */
export const cureFactor = (celsius: number): number => 2 ** ((21 - celsius) / 10);

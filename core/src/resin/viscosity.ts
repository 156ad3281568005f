/**
 * How thick a mix has become: it doubles in every pot life.
 * @param viscosity mPa·s, freshly mixed
 * @param potLife minutes, of this mass in this room
 * @param minutes since it was mixed
 * @returns mPa·s
 */
export const viscosityAt = (viscosity: number, potLife: number, minutes: number): number => viscosity * 2 ** (minutes / potLife);

import { inchesOf, mmOfInches, type Units } from '@aurantia/core';

export interface Tick {
  readonly mm: number;
  readonly long: boolean;
  readonly figure: string | null;
}

/** The marks beside a cup: every 5 mm with figures at 50, or every quarter inch with figures at whole ones. */
export function ticksUpTo(height: number, units: Units): readonly Tick[] {
  if (units.length === 'mm') {
    return Array.from({ length: Math.floor(height / 5) + 1 }, (_, i) => ({
      mm: i * 5,
      long: i % 10 === 0,
      figure: i % 10 === 0 ? String(i * 5) : null,
    }));
  }
  return Array.from({ length: Math.floor(inchesOf(height) * 4) + 1 }, (_, i) => ({
    mm: mmOfInches(i / 4),
    long: i % 4 === 0,
    figure: i % 4 === 0 ? String(i / 4) : null,
  }));
}

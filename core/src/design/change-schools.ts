import type { Design } from './design';
import type { OwnSchools } from './schools';

/** A design that goes its own way in some things; in none of them it is as the workshop's. */
export function withSchools(design: Design, schools: OwnSchools): Design {
  if (Object.keys(schools).length > 0) return { ...design, schools };
  const bare = { ...design };
  delete bare.schools;
  return bare;
}

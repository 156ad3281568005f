import type { Design } from './design';

/** A design that is made in earnest from now on. */
export function withoutPractice(design: Design): Design {
  const earnest = { ...design };
  delete earnest.practice;
  return earnest;
}

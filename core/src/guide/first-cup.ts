import { countFindings } from '../check';
import type { Plan } from '../plan';
import type { StageName } from './stage-pages';

/** One of the six steps of a first cup. */
export interface FirstCupStep {
  readonly stage: StageName;
  readonly title: string;
  /** what to do now */
  readonly says: string;
  readonly done: boolean;
}

/**
 * The way from a cup to its card, and how far a design is on it.
 * @param printed whether its card was looked at
 */
export function firstCupSteps(plan: Plan, printed: boolean): readonly FirstCupStep[] {
  const { areas, blends, fades, coats, findings } = plan;
  const { grave } = countFindings(findings);
  const filled = new Set([...blends, ...fades].map(({ area }) => area));
  const poured = coats.some(({ pours }) => pours.length > 0) && coats.some(({ mix }) => mix !== null);
  return [
    {
      stage: 'cup',
      title: 'Choose your cup',
      says: 'Take the one in front of you, or measure it with a tape: everything else is worked out for its wall.',
      done: areas.areas.length > 0,
    },
    {
      stage: 'areas',
      title: 'Split it into areas',
      says: 'Two bands are a good start. Drag the edge between them to where the colour should change.',
      done: areas.areas.length > 0,
    },
    {
      stage: 'colour',
      title: 'Give each area its glitter',
      says: 'Add a jar: it begins with what covers the area. A second jar shares with the first.',
      done: areas.areas.length > 0 && areas.areas.every(({ id, area, masked }) => masked || area === 0 || filled.has(id)),
    },
    {
      stage: 'coats',
      title: 'Lay the coats in order',
      says: 'Press “Suggest the coats”: base, glue, glitter, resin, with the waits between them.',
      done: poured,
    },
    {
      stage: 'check',
      title: 'Settle what is found',
      says:
        grave > 0
          ? 'Sentences beside the coats say what would go wrong, and offer what mends it.'
          : 'Nothing stands in the way. Read what to wear and have at hand.',
      done: poured && grave === 0,
    },
    {
      stage: 'card',
      title: 'Take the card with you',
      says: 'One page with every amount and wait. Print it, or open it on another screen beside the cup.',
      done: printed && poured && grave === 0,
    },
  ];
}

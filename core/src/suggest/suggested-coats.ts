import { lackingFor, usualCoats, withFix, type Fix } from '../coats';
import type { Coat, CoatId, Design, Workshop } from '../design';
import { THIN, thinCover, type Finding } from '../check';
import { trialPlan } from '../plan';

/** Findings that are settled before they are shown, at most; each settles one. */
const ROUNDS = 16;
/** Times that glue and glitter are laid, at most. */
const PASSES = 3;

/**
 * A design with a whole plan of coats: the usual ones, changed until the check has nothing against them that coats can
 * settle. What is laid on by hand, like decals, strips or inks, isn't there yet: that is the maker's to add.
 * @param newId a fresh id for each coat
 */
export function suggestedDesign(design: Design, workshop: Workshop, newId: () => string): Design {
  const bare: Design = { ...design };
  // What was meant so with other coats isn't meant of these.
  delete bare.exceptions;
  let suggested: Design = { ...bare, coats: [...usualCoats(design, workshop, newId)] };
  for (let round = 0; round < ROUNDS; round += 1) {
    const next = settled(suggested, workshop, newId);
    if (!next) return suggested;
    suggested = next;
  }
  return suggested;
}

/** The design with the first thing settled that a coat can settle; null when there is none. */
function settled(design: Design, workshop: Workshop, newId: () => string): Design | null {
  const { findings, blends } = trialPlan(design, workshop);
  // A fix whose material nobody has is for the maker, once it is bought.
  const can = (fix: Fix | null) => fix?.does !== 'insert coat' || lackingFor(fix.kind, design, workshop).length === 0;
  const fix = findings.find((one) => one.level !== 'tip' && ofCoats(one) && can(one.fix))?.fix;
  if (fix) return withFix(design, fix, workshop, newId() as CoatId);
  if (!findings.some(({ rule, fix: pour }) => rule === thinCover.name && pour === null)) return null;
  const thin = blends.filter(({ bare, passes, hold }) => bare > THIN && hold !== null && passes > 0 && passes < PASSES);
  return thin.length === 0
    ? null
    : laidAgain(
        design,
        thin.map(({ area }) => area),
        newId,
      );
}

const ofCoats = ({ fix }: Finding): boolean => fix !== null && fix.does !== 'pour';

/** The design with glue, glitter and press once more on some areas, after they were laid the first time. */
function laidAgain(design: Design, areas: readonly string[], newId: () => string): Design | null {
  const last = design.coats.findLastIndex(({ kind }) => kind === 'glitter' || kind === 'press');
  const glue = design.coats.findLastIndex(({ kind }) => kind === 'glue');
  if (last < 0 || glue < 0 || glue > last) return null;
  const again = design.coats
    .slice(glue, last + 1)
    .map((coat) => ({ ...coat, id: newId() as CoatId, ...('on' in coat ? { on: [...areas] } : {}) }) as Coat);
  return { ...design, coats: design.coats.toSpliced(last + 1, 0, ...again) };
}

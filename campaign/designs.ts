import fc from 'fast-check';
import {
  cardOf,
  cardText,
  designFileOf,
  designSchema,
  layoutWeight,
  planOf,
  readDesignFile,
  type Design,
  type Workshop,
} from '@aurantia/core';
import { templatesOf, templateSvg, usualWishes } from '@aurantia/core/templates';
import { anyDesign, anyWorkshop } from '../core/test/any-design';
import { count, fault, type Part } from './report';

/** Points of outline up to which a plan has to be there at once; beyond, it is worked out in a thread of its own. */
const SHORT = 2500;
const AT_ONCE = 1500;

/** Random valid designs through plan, card, templates, and back through a file. */
export function anyDesigns(part: Part, random: () => number): void {
  const seed = Math.floor(random() * 0x7fffffff);
  const [[design, workshop]] = fc.sample(fc.tuple(anyDesign, anyWorkshop), { numRuns: 1, seed });
  try {
    throughAll(design, workshop, part);
  } catch (error) {
    fault(part, `a design (fast-check seed ${seed})`, error);
  }
  count(part, 'random designs through plan, card, templates and files');
}

function throughAll(design: Design, workshop: Workshop, part: Part): void {
  const begun = performance.now();
  const plan = planOf(design, workshop);
  const took = performance.now() - begun;
  if (layoutWeight(design.areas) <= SHORT && took > AT_ONCE)
    fault(part, 'a plan is slow', `${took.toFixed(0)} ms: ${JSON.stringify(design.areas)}`);
  const written = [cardText(cardOf(plan, design, workshop.settings))];
  for (const offer of templatesOf(design, plan)) written.push(templateSvg(offer.draw({ ...usualWishes, straight: true })));
  const words =
    written.join('\n') +
    JSON.stringify(plan, (_, value: unknown) => (typeof value === 'number' && !Number.isFinite(value) ? 'NaN' : value));
  const odd = /.{0,60}(NaN|Infinity|undefined).{0,60}/.exec(words);
  if (odd) throw new Error(`“${odd[0]}” is written`);
  const file = designFileOf(design, workshop);
  const known = new Set(file.shelf.map(({ id }) => id as string));
  const read = readDesignFile(JSON.stringify(file));
  // A jar that no shelf has can't go along, and then the file says which.
  if (!read.ok) {
    if (known.size > 0 && !read.faults.some(({ sentence }) => sentence.includes('long-gone')))
      throw new Error(`its file is refused: ${read.faults[0].sentence}`);
    return;
  }
  if (JSON.stringify(designSchema.parse(read.file.design)) !== JSON.stringify(designSchema.parse(design)))
    throw new Error('it comes back another from its file');
}

import * as z from 'zod';
import { areaFaults, areaSchema } from '../areas';
import { cupKinds, cupSchema } from '../vessel';
import { blendSchema } from './blend';
import { coatSchema } from './coat';
import { designIdSchema } from './design-id';
import { exceptionSchema } from './exception';
import { fadeSchema } from './fade';
import { practiceSchema } from './practice';
import { ownSchoolsSchema } from './schools';
import { DESIGN_VERSION, upgradeDesign } from './upgrade';

export const designNameSchema = z
  .string()
  .trim()
  .min(1, 'Give the design a name.')
  .max(80, 'Keep the design’s name under 80 letters.');

/** What somebody is told who wants to make a design without coats. */
export const NO_COATS = 'This design has no coats yet: lay some, then make it.';

/** The document itself, of this version: what is kept and sent. */
export const designDocumentSchema = z
  .strictObject({
    version: z.literal(DESIGN_VERSION, {
      error: `This design is of another version; this program reads version ${DESIGN_VERSION}.`,
    }),
    id: designIdSchema,
    name: designNameSchema,
    note: z.string().max(2000, 'Keep the note under 2000 letters.').default(''),
    cup: cupSchema,
    areas: z.array(areaSchema).max(40, 'Forty areas are the most a cup takes.'),
    blends: z.array(blendSchema).max(40),
    fades: z.array(fadeSchema).max(40).default([]),
    coats: z.array(coatSchema).max(60, 'Sixty coats are the most a cup takes.'),
    /** where it goes another way than the workshop usually does */
    schools: ownSchoolsSchema.optional(),
    practice: practiceSchema.optional(),
    /** what the check says and the maker means so */
    exceptions: z.array(exceptionSchema).max(60, 'Sixty things left so are the most. Look at one of them again.').optional(),
  })
  .check((context) => {
    // Fields that are faulty on their own already have their sentence.
    if (context.issues.length > 0) return;
    for (const { path, sentence } of crossFaults(context.value)) {
      context.issues.push({ code: 'custom', input: context.value, path: [...path], message: sentence });
    }
  });

/**
 * The document: everything a maker decides about a cup, and nothing that can be worked out. One of an
 * earlier version is read as one of this.
 */
export const designSchema = z.preprocess(upgradeDesign, designDocumentSchema);
export type Design = z.infer<typeof designDocumentSchema>;

interface CrossFault {
  readonly path: readonly (string | number)[];
  readonly sentence: string;
}

/** What is wrong between parts of a design that are each sound on their own. */
function crossFaults(design: Pick<Design, 'cup' | 'areas' | 'blends' | 'fades' | 'coats'>): readonly CrossFault[] {
  const faults: CrossFault[] = [];
  const ids = new Set<string>();
  design.areas.forEach((area, index) => {
    const fault = (field: string, sentence: string) => faults.push({ path: ['areas', index, ...field.split('.')], sentence });
    if (ids.has(area.id)) fault('id', `Two areas have the id “${area.id}”.`);
    ids.add(area.id);
    for (const { field, sentence } of areaFaults(area, design.cup)) fault(field, sentence);
    if (area.kind === 'grip' && !design.cup.handle)
      fault('kind', `This cup has no handle for “${area.name}”. Give it one on the measuring sheet, or remove the area.`);
    if (area.kind === 'base' && !cupKinds[design.cup.shape].underside)
      fault('kind', `A sleeve is open below: there is no underside for “${area.name}”. Remove the area.`);
    if (area.kind === 'scatter' && area.inside !== null && !design.areas.some(({ id }) => id === area.inside && id !== area.id))
      fault('inside', `“${area.name}” is scattered in an area that isn’t there. Choose another, or anywhere.`);
  });
  const blended = new Set<string>();
  design.blends.forEach((blend, index) => {
    if (!ids.has(blend.area)) faults.push({ path: ['blends', index, 'area'], sentence: `No area has the id “${blend.area}”.` });
    if (blended.has(blend.area))
      faults.push({ path: ['blends', index, 'area'], sentence: `The area “${blend.area}” has two blends.` });
    blended.add(blend.area);
  });
  const faded = new Set<string>();
  design.fades.forEach((fade, index) => {
    const fault = (sentence: string) => faults.push({ path: ['fades', index, 'area'], sentence });
    const area = design.areas.find(({ id }) => id === fade.area);
    if (!area) fault(`No area has the id “${fade.area}”.`);
    else if (area.kind === 'base' || area.kind === 'grip')
      fault(`“${area.name}” isn’t on the wall: it takes one blend. Fade an area of the wall.`);
    if (faded.has(fade.area)) fault(`The area “${fade.area}” has two fades.`);
    faded.add(fade.area);
  });
  const coatIds = new Set<string>();
  design.coats.forEach((coat, index) => {
    if (coatIds.has(coat.id)) faults.push({ path: ['coats', index, 'id'], sentence: `Two coats have the id “${coat.id}”.` });
    coatIds.add(coat.id);
    if (coat.kind === 'strings' && coat.area !== null && !ids.has(coat.area))
      faults.push({
        path: ['coats', index, 'area'],
        sentence: `This coat follows the edge of “${coat.area}”, which is no area of the design.`,
      });
    if (!('on' in coat) || coat.on === 'all') return;
    const missing = coat.on.find((id) => !ids.has(id));
    if (missing)
      faults.push({ path: ['coats', index, 'on'], sentence: `This coat goes on “${missing}”, which is no area of the design.` });
  });
  return faults;
}

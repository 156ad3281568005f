import * as z from 'zod';
import { sharedFields } from './area-id';
import { offTheWall } from './off-the-wall';

export const gripSchema = z.strictObject({ kind: z.literal('grip'), ...sharedFields });
export type Grip = z.infer<typeof gripSchema>;

export const grip = offTheWall<Grip>('grip', 'Handle', 'the outside of the handle');

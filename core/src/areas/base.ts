import * as z from 'zod';
import { sharedFields } from './area-id';
import { offTheWall } from './off-the-wall';

export const baseSchema = z.strictObject({ kind: z.literal('base'), ...sharedFields });
export type Base = z.infer<typeof baseSchema>;

export const base = offTheWall<Base>('base', 'Underside', 'the disc under the cup');

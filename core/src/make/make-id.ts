import type * as z from 'zod';
import { idText } from '../units';

/** Apart from the make itself: a list of makes names them, and needn't know what is in one. */
export const makeIdSchema = idText('A make needs an id.').brand<'MakeId'>();
export type MakeId = z.infer<typeof makeIdSchema>;

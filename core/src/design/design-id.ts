import type * as z from 'zod';
import { idText } from '../units';

/** Apart from the design itself: who names one needn't know what is in it. */
export const designIdSchema = idText('A design needs an id.').brand<'DesignId'>();
export type DesignId = z.infer<typeof designIdSchema>;

import { idText } from '@aurantia/core';
import * as z from 'zod';

/** The id in an address: what couldn't be opened again is refused here, before anything is kept under it. */
export const byId = z.object({ id: idText('An id is missing in this address.') });

import * as z from 'zod';

/** What a room was like at a moment: ms since 1970, °C, and % where it was measured. */
export const roomMomentSchema = z.object({ at: z.number(), celsius: z.number(), humidity: z.number().nullable() });
export type RoomMoment = z.infer<typeof roomMomentSchema>;
export const roomOfMakeSchema = z.object({ room: z.array(roomMomentSchema) });

import * as z from 'zod';

/** Where a device is reached: nowhere, a simulator of this program, or a port of this computer. */
export const deviceAtSchema = z.union([
  z.literal('none'),
  z.literal('simulated'),
  z.int().min(1, 'A port is a number from 1 to 65535.').max(65535, 'A port is a number from 1 to 65535.'),
]);
export type DeviceAt = z.infer<typeof deviceAtSchema>;

const reach = z.enum(['none', 'looking', 'here', 'lost']);
/** Whether a device is reached: `looking` hasn't been yet, `lost` was and is no more. */
export type DeviceReach = z.infer<typeof reach>;

/** What a scale shows, g since it was set to nought; what a room is like, °C and %; turns a minute, stalled where it should turn. */
const says = {
  scale: z.discriminatedUnion('says', [
    z.object({ says: z.literal('weight'), grams: z.number(), steady: z.boolean() }),
    z.object({ says: z.literal('overload') }),
  ]),
  room: z.discriminatedUnion('says', [
    z.object({ says: z.literal('room'), celsius: z.number(), humidity: z.number().nullable() }),
    z.object({ says: z.literal('nothing') }),
  ]),
  turner: z.discriminatedUnion('says', [
    z.object({ says: z.literal('turning'), rpm: z.number() }),
    z.object({ says: z.literal('stalled') }),
    z.object({ says: z.literal('stopped') }),
  ]),
};
export const deviceKinds = ['scale', 'room', 'turner'] as const;
export type DeviceKind = (typeof deviceKinds)[number];
export type DeviceSays = { readonly [Kind in DeviceKind]: z.infer<(typeof says)[Kind]> };

const now = <Says extends z.ZodType>(said: Says) => z.object({ reach, simulated: z.boolean(), says: said.nullable() });

/** What devices say now. */
export const devicesSchema = z.object({ scale: now(says.scale), room: now(says.room), turner: now(says.turner) });
export type Devices = z.infer<typeof devicesSchema>;

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

/** What devices say now. */
export const devicesSchema = z.object({
  scale: z.object({
    reach,
    simulated: z.boolean(),
    says: z
      .discriminatedUnion('says', [
        z.object({ says: z.literal('weight'), grams: z.number(), steady: z.boolean() }),
        z.object({ says: z.literal('overload') }),
      ])
      .nullable(),
  }),
  room: z.object({
    reach,
    simulated: z.boolean(),
    says: z
      .discriminatedUnion('says', [
        z.object({ says: z.literal('room'), celsius: z.number(), humidity: z.number().nullable() }),
        z.object({ says: z.literal('nothing') }),
      ])
      .nullable(),
  }),
  turner: z.object({
    reach,
    simulated: z.boolean(),
    says: z
      .discriminatedUnion('says', [
        z.object({ says: z.literal('turning'), rpm: z.number() }),
        z.object({ says: z.literal('stalled') }),
        z.object({ says: z.literal('stopped') }),
      ])
      .nullable(),
  }),
});
export type Devices = z.infer<typeof devicesSchema>;

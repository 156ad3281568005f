import * as z from 'zod';
import { deviceAtSchema } from '../device';
import { shelfItemSchema } from '../stock';
import { metricUnits, unitsSchema } from '../units';
import { schoolFields, usualSchools } from './schools';

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time of day as 07:00.');

/** How this workshop measures, and its room. Steps ml, temperature °C, humidity %. */
export const settingsSchema = z.strictObject({
  name: z.string().trim().max(60, 'Keep the workshop’s name under 60 letters.'),
  units: unitsSchema,
  spoonStep: z.number().min(0.1, 'The finest step is 0.1 ml.').max(5, 'The coarsest step is 5 ml.'),
  resinStep: z.number().min(0.1, 'The finest step is 0.1 ml.').max(10, 'The coarsest step is 10 ml.'),
  celsius: z.number().min(0, 'Below 0 °C nothing cures.').max(45, 'Over 45 °C is no workshop.'),
  humidity: z.number().min(0, 'Humidity is at least 0 %.').max(100, 'Humidity is at most 100 %.'),
  /** turns a minute of the turner */
  rpm: z
    .number()
    .min(0.5, 'A turner goes round at least every two minutes.')
    .max(60, 'Over 60 turns a minute throws resin off.')
    .default(5),
  /** when somebody is up to lay a coat */
  wakes: timeOfDay.default('07:00'),
  sleeps: timeOfDay.default('22:30'),
  /** colours of what resin lies over are told as they are seen through its gloss */
  gloss: z.boolean().default(false),
  /** what this maker's pots and gloves keep, as weighings taught; left out where it is taken as usual: ml, and a share of a mix */
  losses: z
    .strictObject({
      pot: z.number().min(0, 'A pot keeps no less than nothing.').max(20, 'No pot keeps over 20 ml.'),
      glove: z.number().min(0, 'A glove takes no less than nothing.').max(0.5, 'No glove takes half of it.'),
    })
    .optional(),
  /** what stands beside the cup; left out where nothing does */
  devices: z.strictObject({ scale: deviceAtSchema, room: deviceAtSchema, turner: deviceAtSchema }).partial().optional(),
  ...schoolFields,
  paper: z.enum(['A4', 'Letter']),
});
export type Settings = z.infer<typeof settingsSchema>;

export const defaultSettings: Settings = {
  name: '',
  units: metricUnits,
  spoonStep: 0.5,
  resinStep: 0.5,
  celsius: 21,
  humidity: 50,
  rpm: 5,
  wakes: '07:00',
  sleeps: '22:30',
  gloss: false,
  ...usualSchools,
  paper: 'A4',
};

/** What a plan is worked out against. */
export const workshopSchema = z.strictObject({
  settings: settingsSchema,
  shelf: z.array(shelfItemSchema).max(5000),
  /** the day it is worked out for; what goes off by the calendar is only told when it is known */
  today: z.iso.date().optional(),
});
export type Workshop = z.infer<typeof workshopSchema>;

import * as z from 'zod';
import { faultsOf } from '../src';

const told = (schema: z.ZodType, value: unknown): string => {
  const { error } = schema.safeParse(value);
  return error ? (faultsOf(error).at(0)?.sentence ?? 'no fault') : 'none';
};

test.each([
  [z.number().min(1), 0, 'A number of at least 1 is wanted here.'],
  [z.int().positive(), 0, 'A number of more than 0 is wanted here.'],
  [z.number().max(80), 81, 'A number of at most 80 is wanted here.'],
  [z.number().lt(2.5), 2.5, 'A number of less than 2.5 is wanted here.'],
  [z.string().min(1), '', 'A text of at least 1 character is wanted here.'],
  [z.string().max(3), 'four', 'A text of at most 3 characters is wanted here.'],
  [z.array(z.string()).min(2), ['one'], 'A list of at least 2 entries is wanted here.'],
  [z.number(), undefined, 'A number is missing here.'],
  [z.int(), 0.5, 'Here a whole number is wanted.'],
  [z.enum(['up', 'down']), 'left', 'This value isn’t one that fits here.'],
  [z.iso.datetime(), 'yesterday', 'This value isn’t one that fits here.'],
  [z.strictObject({}), { colour: 1 }, 'Nothing here is called “colour”. Remove it, or check the spelling.'],
  [z.number().min(1, 'A cup is at least 1 mm tall.'), 0, 'A cup is at least 1 mm tall.'],
] as const)('what a file holds wrongly is told in words of our own', (schema, value, sentence) => {
  expect(told(schema, value)).toBe(sentence);
});

import * as z from 'zod';
import { designFileSchema } from './design-file';

/** The JSON Schema of a design file, made from the Zod schema, so that the two can't part. */
export function designJsonSchema(): object {
  return {
    title: 'Aurantia design file',
    description: 'One cup design with the shelf items it uses. Lengths mm, volumes ml, loads % by volume, temperatures °C.',
    ...z.toJSONSchema(designFileSchema, { io: 'input', unrepresentable: 'any' }),
  };
}

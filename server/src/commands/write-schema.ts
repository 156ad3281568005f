import { writeFileSync } from 'node:fs';
import { designJsonSchema } from '@aurantia/core';
import { makeJsonSchema } from '@aurantia/core/make';

/** `npm run schema`: writes the schemas of files in docs/ anew; a test fails when one is stale. */
for (const [name, schema] of [
  ['design', designJsonSchema()],
  ['make', makeJsonSchema()],
] as const)
  writeFileSync(new URL(`../../../docs/${name}.schema.json`, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`);

import { writeFileSync } from 'node:fs';
import { designJsonSchema } from '@aurantia/core';

/** `npm run schema`: writes docs/design.schema.json anew; a test fails when it is stale. */
writeFileSync(new URL('../../../docs/design.schema.json', import.meta.url), `${JSON.stringify(designJsonSchema(), null, 2)}\n`);

// A thread begins without the loader that reads TypeScript: this brings it along.
import { register } from 'tsx/esm/api';

register();
await import('./field-helper.ts');

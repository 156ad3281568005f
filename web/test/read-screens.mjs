// Lets Node read the screens: run by Jest before the first file of their tests.
import { register } from 'node:module';
import '../../scripts/read-typescript.mjs';

register('./screens-as-tested.mjs', import.meta.url);

// Lets Node read TypeScript: run by Jest before the first file of tests.
import { register } from 'tsx/esm/api';

register();

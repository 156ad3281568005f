import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv();

// There is no canvas here; tests that look at one bring their own.
HTMLCanvasElement.prototype.getContext = () => null;

const { createCjsPreset } = require('jest-preset-angular/presets');

module.exports = {
  ...createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  // A machine that others keep busy takes its time: what a test waits for is a condition, not a clock.
  testTimeout: 60_000,
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
  moduleNameMapper: { '^@aurantia/core$': '<rootDir>/../core/src/index.ts' },
  transformIgnorePatterns: ['/node_modules/(?!(culori|uuid|clipper2-ts|ml-|is-any-array|.*\\.mjs$))'],
  // Tests run in a world of their own, where each look at a global costs much: this one is at hand in hot loops.
  sandboxInjectedGlobals: ['Math'],
};

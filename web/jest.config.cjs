const { createCjsPreset } = require('jest-preset-angular/presets');

module.exports = {
  ...createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
  moduleNameMapper: { '^@aurantia/core$': '<rootDir>/../core/src/index.ts' },
  transformIgnorePatterns: ['/node_modules/(?!(culori|uuid|clipper2-ts|ml-|is-any-array|.*\\.mjs$))'],
  // Tests run in a world of their own, where each look at a global costs much: this one is at hand in hot loops.
  sandboxInjectedGlobals: ['Math'],
};

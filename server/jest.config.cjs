module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  transform: { '\\.(ts|js)$': '@swc/jest' },
  transformIgnorePatterns: ['/node_modules/(?!culori|uuid|clipper2-ts|qr|@date-fns|ical)'],
  testEnvironment: 'node',
  // What is done aside begins a thread of its own: some seconds where everything else is busy too.
  testTimeout: 60000,
  globalSetup: '<rootDir>/../scripts/bundled.mjs',
  // Tests run in a world of their own, where each look at a global costs much: this one is at hand in hot loops.
  sandboxInjectedGlobals: ['Math'],
};

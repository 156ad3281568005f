module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  // Straight in Node, without a world of its own for each file: what computes long takes half as long, and modules are read once.
  runner: 'jest-light-runner',
  setupFiles: ['<rootDir>/../scripts/read-typescript.mjs'],
  globalSetup: '<rootDir>/begin.mjs',
  globalTeardown: '<rootDir>/../scripts/tests-folder.mjs',
};

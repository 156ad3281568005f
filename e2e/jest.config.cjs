module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  // Straight in Node: the browser's tests wait for conditions, each with a limit of its own. Two at a time mostly wait for each other's.
  runner: 'jest-light-runner/child-process',
  setupFiles: ['<rootDir>/../scripts/read-typescript.mjs'],
  maxWorkers: 2,
  globalSetup: '<rootDir>/begin.mjs',
};

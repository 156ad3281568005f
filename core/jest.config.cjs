module.exports = {
  testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/test/**/*.spec.ts'],
  // Straight in Node, without a world of its own for each file: what computes long takes half as long, and modules are read once.
  runner: 'jest-light-runner',
  // Nothing of it waits for anything: it takes what cores there are, and is through in half the time.
  maxWorkers: 2,
  setupFiles: ['<rootDir>/../scripts/read-typescript.mjs'],
};

module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  transform: { '\\.(ts|js)$': '@swc/jest' },
  transformIgnorePatterns: ['/node_modules/(?!culori|uuid|clipper2-ts)'],
  testEnvironment: 'node',
  testTimeout: 180000,
  // Each file has a program and a browser of its own: two at a time keep both cores busy, and wait for conditions only.
  maxWorkers: 2,
};

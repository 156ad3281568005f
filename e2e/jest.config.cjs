module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  transform: { '\\.(ts|js)$': '@swc/jest' },
  transformIgnorePatterns: ['/node_modules/(?!culori|uuid|clipper2-ts|qr)'],
  testEnvironment: 'node',
  testTimeout: 300000,
  maxWorkers: 1,
  globalSetup: '<rootDir>/../scripts/bundled.mjs',
};

module.exports = {
  testMatch: ['<rootDir>/test/**/*.spec.ts'],
  // Straight in Node, without a world of its own for each file: Angular and Material are read once.
  runner: 'jest-light-runner',
  setupFiles: ['<rootDir>/test/read-screens.mjs', '<rootDir>/test/page.ts'],
  setupFilesAfterEnv: ['<rootDir>/test/setup.ts'],
};

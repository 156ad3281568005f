module.exports = {
  testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/test/**/*.spec.ts'],
  transform: { '\\.(ts|js)$': '@swc/jest' },
  transformIgnorePatterns: [
    '/node_modules/(?!culori|uuid|clipper2-ts|ml-|is-any-array|cheminfo-types|@date-fns|image-js|fast-|iobuffer|median-quickselect|ts-pattern|tiff|uint8-base64|image-type|file-type|bresenham|ssim|fft)',
  ],
  testEnvironment: 'node',
  // Tests run in a world of their own, where each look at a global costs much: this one is at hand in hot loops.
  sandboxInjectedGlobals: ['Math'],
};

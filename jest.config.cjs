/** Unit tests: core, server and command line, transpiled by swc; types are checked apart. */
module.exports = {
  testEnvironment: 'node',
  roots: ['<rootDir>/packages'],
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.(tsx?|js)$': [
      '<rootDir>/jest.transform.cjs',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // A package that ships only as modules is read by swc too.
  transformIgnorePatterns: ['/node_modules/(?!dinero\\.js/)'],
  testTimeout: 60000,
};

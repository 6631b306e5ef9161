/**
 * Tests that mount components, in a page of their own making. The kit's files are modules that do not say so, which Jest takes as
 * plain scripts only where it runs without modules: so these run apart from the others, and everything is turned into plain scripts.
 */
export default {
  maxWorkers: 2,
  testTimeout: 60_000,
  roots: ['<rootDir>/web/src'],
  testMatch: ['**/*.mount.ts'],
  testEnvironment: 'jsdom',
  testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'], url: 'http://localhost/' },
  setupFiles: ['<rootDir>/web/testing/page.ts'],
  transform: {
    '^.+\\.vue$': '<rootDir>/web/testing/vueTransform.mjs',
    '^.+\\.m?[jt]s$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } }],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(ant-design-vue/es|@babel/runtime|lodash-es|uuid|idb|chart\\.js|minisearch|@ant-design|@kurkle|jstat|@vueuse)/)',
  ],
  moduleNameMapper: { '\\.css$': '<rootDir>/web/testing/nothing.mjs' },
};

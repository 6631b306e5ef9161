/**
 * Unit tests of the core, of the web's plain TypeScript, and of the server against a real database.
 *
 * Core, server and devices run in plain Node: a module is loaded once for all files that need it, and nothing stands between the simulations and
 * the machine. So such a test leaves what it shares with others as it found it. The web's tests put a storage and a server in place of the
 * browser's: each of their files has a world of its own.
 */
const plain = {
  runner: 'jest-light-runner',
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/bin/testing/typescript.mjs'],
  setupFilesAfterEnv: ['<rootDir>/bin/testing/limits.mjs'],
};

export default {
  // Two long suites (the planner against a general solver, odd requests) run side by side.
  maxWorkers: 2,
  // A database of its own takes a while to fill on a busy machine.
  testTimeout: 60_000,
  projects: [
    { ...plain, displayName: 'core', roots: ['<rootDir>/core/src'] },
    { ...plain, displayName: 'devices', roots: ['<rootDir>/devices/src'] },
    { ...plain, displayName: 'server', roots: ['<rootDir>/server/src'] },
    {
      displayName: 'web',
      roots: ['<rootDir>/web/src'],
      testEnvironment: 'node',
      testEnvironmentOptions: { globalsCleanup: 'off' },
      extensionsToTreatAsEsm: ['.ts'],
      transform: {
        '^.+\\.ts$': [
          '@swc/jest',
          {
            jsc: { target: 'es2022', parser: { syntax: 'typescript' }, experimental: { keepImportAttributes: true } },
            module: { type: 'es6' },
          },
        ],
      },
    },
  ],
};

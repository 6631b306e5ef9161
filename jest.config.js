/** Unit tests of the core, the web's plain TypeScript, and the server against a real database. */
const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': '<rootDir>/bin/lib/jestTransform.mjs' },
};

export default {
  // Two long suites (the planner against a general solver, odd requests) run side by side.
  maxWorkers: 2,
  // A database of its own takes a while to fill on a busy machine.
  testTimeout: 60_000,
  projects: [
    { ...shared, displayName: 'core', roots: ['<rootDir>/core/src'] },
    // The tests put a storage and a server in place of the browser's; they are theirs to replace.
    { ...shared, displayName: 'web', roots: ['<rootDir>/web/src'], testEnvironmentOptions: { globalsCleanup: 'off' } },
    { ...shared, displayName: 'devices', roots: ['<rootDir>/devices/src'] },
    { ...shared, displayName: 'server', roots: ['<rootDir>/server/src'] },
  ],
};

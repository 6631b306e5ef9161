import { defineConfig } from '@playwright/test';
import { ZONE } from './zone.ts';

const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell';

export default defineConfig({
  testDir: '.',
  globalSetup: './globalSetup.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 2,
  // A test that passes only on its second try is a failure to mend: there is no second try.
  retries: 0,
  // Long enough for a machine that has other things to do: what is promised within a time says so where it is tested.
  timeout: 420_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../test-results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: ZONE,
    reducedMotion: 'reduce',
    trace: 'off',
    // A kept program answers for itself: tests that put words into the server's mouth must reach it. The one that is about this lets it work.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromium,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  projects: [
    { name: 'application', testIgnore: /(screenshots|realtime)\.spec\.ts/ },
    // What is timed to a quarter of a second runs last and by itself: beside another browser a frame can be late that is not.
    { name: 'real-time', testMatch: /realtime\.spec\.ts/, dependencies: ['application'] },
    { name: 'screenshots', testMatch: /screenshots\.spec\.ts/ },
  ],
});

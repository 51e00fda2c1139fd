import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  globalSetup: './made-once.ts',
  outputDir: '../build/test-results',
  // Long enough for a machine that is busy with something else.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  workers: 2,
  // Files are taken in the order of their names: the long one, which kills servers, comes first.
  fullyParallel: false,
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 40_000,
    viewport: { width: 1280, height: 800 },
    // Where wood is sold by the millimetre.
    locale: 'en-GB',
    launchOptions: {
      executablePath: process.env['RUVOK_CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});

import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  outputDir: './results',
  // One instance, one database: tests use classes of their own, and one at a time keeps the figures of a lesson plain.
  workers: 1,
  fullyParallel: false,
  timeout: 300_000,
  expect: { timeout: 15_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.FH_BASE ?? 'http://127.0.0.1:8580',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // A recording of every step costs as much processor as the product under test; a picture of the end does not.
    trace: process.env.FH_TRACE === '1' ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    actionTimeout: 12_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
});

import { defineConfig } from '@playwright/test';

// Each worker has an instance of its own: address, folder, folder of sockets and port of the database, with “|”
// between. Without a list there is one of each, and one worker.
const instances = (process.env.FH_INSTANCES ?? '').split(' ').filter(Boolean);
const mine = instances[Number(process.env.TEST_PARALLEL_INDEX ?? 0)]?.split('|');
if (mine !== undefined) [process.env.FH_BASE, process.env.FH_VAR, process.env.FH_RUN, process.env.FH_PG_PORT] = mine;

export default defineConfig({
  testDir: '.',
  outputDir: './results',
  workers: Math.max(1, instances.length),
  fullyParallel: false,
  timeout: 300_000,
  // How long a thing takes is bin/bench's to say. A test waits for it as long as a machine full of other work may take.
  expect: { timeout: 60_000 },
  // A machine shared with others can miss a moment; what passes only at the second try is named at the end of bin/test.
  retries: process.env.FH_RETRIES === undefined ? 0 : Number(process.env.FH_RETRIES),
  reporter: [['list']],
  // Nine people who talk are as much as a machine can do: they come when the others are through.
  projects: [
    { name: 'together', testIgnore: 'talking.spec.ts' },
    { name: 'alone', testMatch: 'talking.spec.ts', timeout: 600_000 },
  ],
  use: {
    baseURL: process.env.FH_BASE ?? 'http://127.0.0.1:8580',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // A recording of every step costs as much processor as the product under test; a picture of the end does not.
    trace: process.env.FH_TRACE === '1' ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // A microphone that hums, and nobody who has to allow it.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});

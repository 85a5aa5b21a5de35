/** The real interface on the real server, in Debian's Chromium; each file starts a server on a folder of its own. */
import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'goals',
  workers: 2,
  // Where others slow the machine down a goal runs out of its time: a second try tells that from a fault. `npm test` names it.
  retries: 1,
  // Of a machine that others slow down by four.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  outputDir: '../test-results/e2e',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
      // No choice of a driver: Chromium then draws 3D in software all the same, and the page at a third less.
      args: ['--disable-background-networking'],
    },
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
  },
});

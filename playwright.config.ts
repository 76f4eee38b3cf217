import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'tests/e2e/.results',
  timeout: 180_000,
  expect: { timeout: 15_000 },
  workers: 1,
  // by hand there is no second try; CI keeps one, so that a slow machine loses no work, and names each journey that
  // used it
  retries: process.env.CI ? 1 : 0,
  reporter: [['list'], ['./tests/e2e/secondTries.ts']],
  use: {
    baseURL: process.env.THICKET_URL ?? 'http://127.0.0.1:8085',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 15_000,
    locale: 'en-GB',
    timezoneId: 'Etc/GMT+5',
    // what a journey answers in the server's place is asked for by the page itself; the field day lets it in
    serviceWorkers: 'block',
    // nothing is judged in the middle of a fade
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});

import { defineConfig } from '@playwright/test'

/** The address of the server under test; `npm test` starts one on a free port with a throwaway database. */
const baseURL = process.env.SWAP_POCKET_URL ?? 'http://127.0.0.1:3000'

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  outputDir: 'test-results',
  // One database for all: a story that stops it must not run beside another.
  workers: 1,
  // A machine that stalls can lose a click; a story that fails twice has failed. The runner names what it took again.
  retries: 1,
  // A story proves what is so, not how fast: a machine that stalls for some seconds is no failure.
  timeout: 120_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    // Nothing moves while a story looks for it.
    contextOptions: { reducedMotion: 'reduce' },
    baseURL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-quic',
        '--no-first-run',
      ],
    },
  },
})

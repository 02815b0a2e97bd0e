import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const port = 4799;
/** Debian's Chromium: without windows where that is installed, which takes half of the time. */
const chromium = process.env.CHROMIUM ?? ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);

/** The real interface in Debian's Chromium, against a server with a database of its own. */
export default defineConfig({
  testDir: 'tests/e2e',
  fullyParallel: true,
  workers: 2,
  // Where a change is judged, a test that fails once on a busy machine and then passes is reported as flaky; here it fails.
  retries: Number(process.env.ZOVRIN_TEST_RETRIES ?? 0),
  // Generous, for a machine that is busy with something else: no test is about time.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    launchOptions: {
      ...(chromium === undefined ? {} : { executablePath: chromium }),
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
  webServer: {
    command: 'rm -rf test-results/data && node dist/server/main.js --demo',
    url: `http://127.0.0.1:${port}/api/v1/health`,
    // The tests know the dates of the demo data.
    env: { ZOVRIN_DEMO_DAY: '2026-11-25', PORT: String(port), ZOVRIN_DATABASE: 'test-results/data/e2e.sqlite' },
    reuseExistingServer: false,
  },
});

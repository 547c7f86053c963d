import { defineConfig } from '@playwright/test';

const CHROMIUM_WORDS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--autoplay-policy=no-user-gesture-required',
];

/** Runs against the server named by BASE_URL, which `npm run test:e2e` starts. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // generous: a time limit here only ends what hangs; speed is asked of the benchmarks
  timeout: 120_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:4170',
    viewport: { width: 1280, height: 800 },
    // tests that stand in for the server need its own way to be the only one; offline.spec.ts has the other
    serviceWorkers: 'block',
    launchOptions: { executablePath: '/usr/bin/chromium-headless-shell', args: CHROMIUM_WORDS },
    // a trace doubles what a flow takes: it is made where somebody looks for a fault
    trace: process.env.TRACE === '1' ? 'retain-on-failure' : 'off',
  },
});

const { defineConfig } = require('@playwright/test');

const port = process.env.BROWSER_TEST_PORT || '8123';

module.exports = defineConfig({
  testDir: 'tests/Browser',
  outputDir: 'var/browser-results',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 1,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
  webServer: {
    command: 'bin/demo --fresh',
    url: `http://127.0.0.1:${port}/healthy`,
    timeout: 240_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5_000 },
    env: { PORT: port, JOLLY_FURROW_DATA: `${__dirname}/var/browser-data`, JOLLY_FURROW_TODAY: '2026-07-21' },
  },
});

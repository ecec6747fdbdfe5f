import { defineConfig } from '@playwright/test';

const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Two browsers share two cores: compiling beside the page costs more than it saves.
  '--js-flags=--single-threaded'
];

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/e2e/setup.ts',
  // Tests wait for the thing itself: on a slow machine it takes longer to come, and nothing else follows from that.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    launchOptions: { executablePath: '/usr/bin/chromium', args: flags },
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    timezoneId: 'Europe/Oslo',
    locale: 'en-GB',
    trace: 'off'
  }
});

import { defineConfig } from '@playwright/test';

/** Debian's Chromium, without a screen and without its own traffic. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-dev-shm-usage',
  ],
};

export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  fullyParallel: true,
  workers: 2,
  forbidOnly: process.env.CI !== undefined,
  reporter: 'line',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    trace: 'retain-on-failure',
  },
});

import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/lib/chromium.mjs';

export default defineConfig({
  testDir: 'e2e',
  timeout: 120_000,
  expect: { timeout: 30_000 },
  fullyParallel: true,
  workers: 2,
  forbidOnly: process.env.CI !== undefined,
  reporter: 'line',
  use: {
    browserName: 'chromium',
    // Keeping the program in the browser reads in all of it, in every new window: only where a test needs it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    screenshot: 'only-on-failure',
  },
});

import { expect, type Locator, type Page, test as base } from '@playwright/test';
import {
  copyOf,
  makeDataFolder,
  removeFolder,
  startServer,
  type StartedServer,
} from '../scripts/lib/server.mjs';

/** The built app on demo data of this test's own. */
export interface App {
  readonly url: string;
  /** Stops the server and starts it again on the same data and port. */
  readonly restart: () => Promise<void>;
  readonly stop: () => Promise<void>;
  /** Ends the server at once, as a cut cable does. */
  readonly kill: () => Promise<void>;
  readonly start: () => Promise<void>;
}

/** Test with a server of its own, on the demo's data. */
export const test = base.extend<{ app: App }, { demoData: string; shown: string }>({
  // The demo is sown once for all tests of a worker; each gets a copy.
  demoData: [
    async ({}, use) => {
      const data = makeDataFolder();
      await (await startServer({ data, demo: true })).stop();
      await use(data);
      removeFolder(data);
    },
    { scope: 'worker' },
  ],
  // Where nothing is changed one server does for all tests of a worker: its address.
  shown: [
    async ({ demoData }, use) => {
      const data = copyOf(demoData);
      const server = await startServer({ data });
      await use(server.url);
      await server.stop();
      removeFolder(data);
    },
    { scope: 'worker' },
  ],
  app: async ({ demoData }, use) => {
    const data = copyOf(demoData);
    let server: StartedServer = await startServer({ data });
    const { url } = server;
    const port = Number(new URL(url).port);
    const stop = () => server.stop();
    const start = async () => {
      server = await startServer({ data, port });
    };
    await use({
      url,
      stop,
      kill: () => server.kill(),
      start,
      restart: async () => {
        await stop();
        await start();
      },
    });
    await server.stop();
    removeFolder(data);
  },
});

export { expect };

/** How a person likes to see things. */
export interface Liking {
  readonly theme?: 'day' | 'lamp';
  readonly units?: 'metric' | 'imperial';
}

/** Sets preferences before the page's first script; sound and voice stay off. */
export async function prefer(page: Page, liking: Liking): Promise<void> {
  await page.addInitScript(
    (kept) => {
      if (localStorage.getItem('lean-clasp.preferences') === null) {
        localStorage.setItem('lean-clasp.preferences', JSON.stringify(kept));
      }
    },
    { sound: false, speech: false, ...liking },
  );
}

/** One of the four verdicts along the bottom edge. */
export const verdict = (page: Page, aspect: 'inTime' | 'tight' | 'square' | 'flat'): Locator =>
  page.locator(`[data-verdict="${aspect}"]`);

/** Waits until every edit made so far is on the server. */
export async function kept(page: Page): Promise<void> {
  await expect(page.getByText('kept', { exact: true })).toBeVisible();
}

/** Replaces what stands in a field. */
export async function retype(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.blur();
}

/** Picks from a list by its label. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label }).first().click();
  const wanted = page.getByRole('option', { name: option });
  // A list still sliding open can slip away under the pointer.
  await expect(async () => {
    if (await wanted.isVisible()) await wanted.click();
    await expect(wanted).toBeHidden({ timeout: 2000 });
  }).toPass();
}

import type { Page } from '@playwright/test';
import { expect } from './fixtures';

/** What of a run is looked at here, as the server has it. */
export interface Run {
  readonly startedAtMs: number;
  readonly script: {
    readonly operations: readonly {
      readonly id: string;
      readonly endMin: number;
      readonly startMin: number;
      readonly after: readonly string[];
      readonly wait: { readonly min: number; readonly until: string } | null;
    }[];
    readonly fuses: readonly {
      readonly lit: string;
      readonly closed: string;
      readonly holds: readonly string[];
      readonly openMin: number;
      readonly closedMin: number;
      readonly totalMin: number;
    }[];
  };
  readonly events: readonly {
    readonly id: string;
    readonly kind: string;
    readonly operation?: string;
    readonly atMs: number;
  }[];
}

export const NOON = new Date('2026-04-14T12:00:00').getTime();
export const MINUTE = 60_000;

/** The shortest fuse at an instant, min, reckoned here from what was told alone; null where none burns. */
function shortestAt({ startedAtMs, script, events }: Run, nowMs: number): number | null {
  const done = new Map<string, number>();
  for (const { kind, operation, atMs } of events) {
    if (operation !== undefined && kind === 'done') done.set(operation, atMs);
  }
  const begun = (id: string): number => {
    const after = script.operations.find((each) => each.id === id)?.after ?? [];
    return after.reduce((latest, each) => Math.max(latest, done.get(each) ?? Infinity), startedAtMs);
  };
  const left = script.fuses.flatMap(({ lit, closed, holds, openMin, closedMin, totalMin }) => {
    const litAt = begun(lit);
    if (litAt === Infinity || holds.every((id) => done.has(id))) return [];
    const closedAt = done.get(closed);
    const limit = closedAt === undefined ? litAt + openMin * MINUTE : closedAt + closedMin * MINUTE;
    return [(Math.min(litAt + totalMin * MINUTE, limit) - nowMs) / MINUTE];
  });
  return left.length === 0 ? null : Math.min(...left);
}

const minutesOf = (text: string): number => {
  const [, sign = '', minutes = '0', seconds = '0'] = /^(−?)(\d+):(\d\d)/.exec(text) ?? [];
  return (sign === '' ? 1 : -1) * (Number(minutes) + Number(seconds) / 60);
};

/** A run as the server has it, by the page that shows it. */
export async function runAt(page: Page, url: string): Promise<Run> {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  // A connection kept open may have been closed with a server that was killed; a browser asks again by itself.
  const answer = await page.request.get(`${url}/api/runs/${id}`, { maxRetries: 2 });
  return (await answer.json()) as Run;
}

/** Does what is on show: cuts its wait short where it has one, and ticks it off. */
export async function pressThrough(page: Page): Promise<void> {
  await page.clock.runFor('00:02');
  const wait = page.getByRole('status').filter({ hasText: /^in / });
  if (await wait.isVisible()) {
    await page.keyboard.press('Space');
    await expect(wait).toBeHidden();
    await page.clock.runFor('00:01');
  }
  await page.keyboard.press('Space');
}

/** From the first bead to the last clamp, key by key. Returns how many steps there were. */
export async function runThrough(page: Page, url: string, reloadEvery: number): Promise<number> {
  const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
  for (let step = 1; step <= steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
    await pressThrough(page);
    if (step < steps && step % reloadEvery === 0) {
      await expect(page.getByText(`${step + 1} of ${steps}`, { exact: true })).toBeVisible();
      await page.reload();
      await expect(page.getByText(`${step + 1} of ${steps}`, { exact: true })).toBeVisible();
    }
    if (step === Math.ceil(steps / 3)) await compareFuse(page, url, step);
  }
  return steps;
}

/** What stands large on the screen, against a replay of what the server was told; the same to a second. */
export async function compareFuse(page: Page, url: string, step: number): Promise<void> {
  await expect
    .poll(async () => (await runAt(page, url)).events.filter(({ kind }) => kind === 'done').length)
    .toBe(step);
  await page.clock.runFor(500);
  const nowMs = await page.evaluate(() => Date.now());
  const shortest = shortestAt(await runAt(page, url), nowMs);
  if (shortest === null) return;
  const shown = minutesOf((await page.getByRole('timer').textContent()) ?? '');
  if (shortest < 60) expect(Math.abs(shown - shortest)).toBeLessThanOrEqual(1.1 / 60);
}

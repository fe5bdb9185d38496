import { median, ms, p95, times } from './figures.mjs';

/** How long a clamp is dragged, at rest and all the time, and how long it is let be in between, ms. */
const [DRAGGED_MS, AFTER_MS] = [3000, 1500];

/** Frames and pressures drawn in a second while a clamp is somewhere else in every frame; baseline: frames of the same page at rest. */
export async function measureDrag({ server, browser, report }) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.url}/builds/stage-floor/squeeze`);
  const clamp = page.locator('[data-part^="clamp-"]').nth(2);
  await clamp.waitFor();
  await page.waitForTimeout(DRAGGED_MS);
  // The first drag runs the code in.
  await dragged(page, clamp, true);
  const [still, moved] = [await dragged(page, clamp, false), await dragged(page, clamp, true)];
  await page.close();
  const perSecond = (count) => (1000 * count) / DRAGGED_MS;
  report(
    'frames in a second while a clamp is dragged',
    perSecond(moved.frames.length).toFixed(0),
    '60',
    `at rest: ${perSecond(still.frames.length).toFixed(0)}`,
    times(moved.frames.length, still.frames.length),
  );
  report(
    'pressures drawn in a second meanwhile',
    perSecond(moved.drawn).toFixed(0),
    '',
    `frames: ${perSecond(moved.frames.length).toFixed(0)}`,
    times(moved.drawn, moved.frames.length),
  );
  report(
    'from one frame to the next meanwhile, median and 95 %',
    `${ms(median(moved.frames))}, ${ms(p95(moved.frames))}`,
    '',
    `at rest: ${ms(median(still.frames))}, ${ms(p95(still.frames))}`,
  );
}

/** Times between frames, and how often other pressures stood in them, while a clamp is held, and moved in each of them. */
async function dragged(page, clamp, moves) {
  const box = await clamp.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + 20];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const seen = await clamp.evaluate(
    (shape, { x, y, moves, forMs }) =>
      new Promise((done) => {
        const lines = () =>
          [...shape.ownerSVGElement.querySelectorAll('[data-part^="joint-"] text')]
            .map(({ textContent }) => textContent)
            .join();
        const frames = [];
        let [drawn, pressures] = [0, lines()];
        const startedAt = performance.now();
        let before = startedAt;
        const tick = (at) => {
          frames.push(at - before);
          before = at;
          const now = lines();
          if (now !== pressures) drawn += 1;
          pressures = now;
          if (at - startedAt > forMs) return done({ frames, drawn });
          if (moves) {
            // There and back, three pixels a frame.
            const step = frames.length % 80;
            const clientX = x + 3 * (step < 40 ? step : 80 - step);
            shape.dispatchEvent(
              new PointerEvent('pointermove', { bubbles: true, pointerId: 1, clientX, clientY: y }),
            );
          }
          requestAnimationFrame(tick);
        };
        requestAnimationFrame(tick);
      }),
    { x, y, moves, forMs: DRAGGED_MS },
  );
  await page.mouse.up();
  await page.waitForTimeout(AFTER_MS);
  return seen;
}

import { startSensor } from './sensor';

describe('the stand-in for a sensor', () => {
  it('answers in the documented form, or not at all, and nowhere else', async () => {
    let at = new Date(2026, 10, 24, 6, 0);
    const sensor = await startSensor({ port: 0, seed: 5, now: () => at });
    try {
      const seen = { readings: 0, silent: 0 };
      for (let minute = 0; minute < 400; minute += 1) {
        at = new Date(2026, 10, 24, 6, minute);
        const response = await fetch(sensor.url);
        if (response.status === 503) {
          seen.silent += 1;
          continue;
        }
        const body = (await response.json()) as Record<string, unknown>;
        expect(body).toMatchObject({ format: 'lean-clasp/air', version: 1, takenAt: at.toISOString() });
        expect(Number.isFinite(body.tempC) && Number.isFinite(body.rhPct)).toBe(true);
        seen.readings += 1;
      }
      expect(seen.readings).toBeGreaterThan(350);
      expect(seen.silent).toBeGreaterThan(0);
      expect((await fetch(sensor.url.replace('/air', '/'))).status).toBe(404);
      expect((await fetch(sensor.url, { method: 'POST' })).status).toBe(404);
    } finally {
      await sensor.stop();
    }
  });
});

import { type AirSample, simulatedAir } from '../air';

const DAY_MS = 86_400_000;
/** As far back as the demo's sensor has been read. */
const DAYS = 14;
const EVERY_MIN = 30;

/** Two weeks of made-up air as the shop's sensor would have read them, each day a little different; drop-outs are left out. */
export function pastAir(nowMs: number): AirSample[] {
  const count = (DAYS * 24 * 60) / EVERY_MIN;
  return Array.from({ length: count }, (_, i) => nowMs - (count - i) * EVERY_MIN * 60_000).flatMap(
    (takenAtMs): AirSample[] => {
      const at = new Date(takenAtMs);
      const answer = simulatedAir(at.getHours() * 60 + at.getMinutes(), Math.floor(takenAtMs / DAY_MS));
      return answer.kind === 'air' ? [{ ...answer.air, takenAtMs }] : [];
    },
  );
}

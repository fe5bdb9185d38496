import type { Static } from '@sinclair/typebox';
import { Type } from '../basics/type';
import type { Climate } from '../formats';

/** What a thermo-hygrometer answers with; the numbers may be anything, and are judged after. */
export const AirReadingSchema = Type.Object(
  {
    format: Type.Literal('lean-clasp/air'),
    version: Type.Literal(1),
    tempC: Type.Number(),
    rhPct: Type.Number(),
    /** When it was taken, ISO 8601. */
    takenAt: Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}' }),
  },
  { additionalProperties: true },
);

export type AirReading = Static<typeof AirReadingSchema>;

/** The air of a workshop lies in here; anything else is the sensor's fault. */
const SANE = Object.freeze({
  tempC: Object.freeze({ min: -25, max: 50 }),
  rhPct: Object.freeze({ min: 3, max: 100 }),
});
/** Older than this a reading no longer speaks for the air, min. */
const STALE_AFTER_MIN = 15;

/** How far a sensor can be trusted now. */
export type AirState = 'none' | 'fresh' | 'stale' | 'gone' | 'mad';

/** The sensor as it stands: its last sane reading, and whether that still speaks for the air. */
export interface AirReport {
  readonly state: AirState;
  /** Null before the first sane reading. */
  readonly air: Climate | null;
  readonly takenAtMs: number | null;
}

/** Whether a reading can be the air of a workshop. */
export function isSane({ tempC, rhPct }: Pick<AirReading, 'tempC' | 'rhPct'>): boolean {
  return (
    tempC >= SANE.tempC.min && tempC <= SANE.tempC.max && rhPct >= SANE.rhPct.min && rhPct <= SANE.rhPct.max
  );
}

/** What asking the sensor once came to. */
export type Asked =
  { readonly kind: 'reading'; readonly reading: AirReading } | { readonly kind: 'no-answer' };

/**
 * The report after asking once more: a sane reading replaces the last one; silence and nonsense keep it and say so.
 * @param nowMs the clock.
 */
export function afterAsking(before: AirReport, asked: Asked, nowMs: number): AirReport {
  if (asked.kind === 'no-answer') return { ...before, state: 'gone' };
  const { reading } = asked;
  const takenAtMs = Date.parse(reading.takenAt);
  if (!isSane(reading) || Number.isNaN(takenAtMs)) return { ...before, state: 'mad' };
  const { tempC, rhPct } = reading;
  return {
    state: nowMs - takenAtMs > STALE_AFTER_MIN * 60_000 ? 'stale' : 'fresh',
    air: { tempC, rhPct },
    takenAtMs,
  };
}

/** A report before anything was asked. */
export const NO_SENSOR: AirReport = { state: 'none', air: null, takenAtMs: null };

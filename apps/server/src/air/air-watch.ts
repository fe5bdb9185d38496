import { afterAsking, AirReadingSchema, type AirReport, type Asked, NO_SENSOR } from '@lean-clasp/core/air';
import type { Validator } from '@lean-clasp/validation';
import type { LastAir } from '../store';

/** The shop's sensor as far as this server has asked it. */
export interface AirWatch {
  /** Asks again if the last answer is not of just now; silence and nonsense keep the last sane value. */
  readonly report: () => Promise<AirReport>;
}

/** What the watch needs, passed in. */
export interface AirWorld {
  /** Where the sensor answers; null where there is none. */
  readonly address: () => Promise<string | null>;
  readonly validator: Validator;
  /** What was read before this server started. */
  readonly last: LastAir;
  readonly now: () => number;
}

/** Sensors are asked no more often than this. */
const ASK_EVERY_MS = 20_000;
/** One that takes longer counts as silent. */
const PATIENCE_MS = 2000;
/** Longer answers are not readings. */
const MOST_CHARACTERS = 4000;

/** Watches one sensor; another address starts afresh. */
export function airWatch({ address, validator, last, now }: AirWorld): AirWatch {
  let known: { readonly address: string; readonly report: AirReport; readonly askedAtMs: number } | null =
    null;
  return {
    report: async () => {
      const current = await address();
      if (current === null) return NO_SENSOR;
      const before = known !== null && known.address === current ? known : null;
      if (before !== null && now() - before.askedAtMs < ASK_EVERY_MS) return before.report;
      const asked = await ask(current, validator);
      const remembered = before === null ? await last.find(current) : null;
      const report = afterAsking(before?.report ?? { ...NO_SENSOR, ...remembered }, asked, now());
      if (report.takenAtMs !== (before?.report ?? remembered)?.takenAtMs) await last.keep(current, report);
      known = { address: current, report, askedAtMs: now() };
      return report;
    },
  };
}

async function ask(address: string, validator: Validator): Promise<Asked> {
  try {
    const response = await fetch(address, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'error' });
    const body = await response.text();
    if (!response.ok || body.length > MOST_CHARACTERS) return { kind: 'no-answer' };
    return { kind: 'reading', reading: validator.check(AirReadingSchema, JSON.parse(body)) };
  } catch {
    // Refused, too slow, no JSON, or not a reading: to the person all of these are a sensor that does not answer.
    return { kind: 'no-answer' };
  }
}

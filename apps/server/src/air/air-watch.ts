import {
  afterAsking,
  AirReadingSchema,
  type AirReport,
  type AirSeries,
  type Asked,
  NO_SENSOR,
  runningMeans,
  thinned,
  usualDay,
  usualMoisturePct,
} from '@lean-clasp/core/air';
import type { ShopDocument } from '@lean-clasp/core/formats';
import type { Validator } from '@lean-clasp/validation';
import type { AirLog } from '@lean-clasp/store';

/** The shop's sensor as far as this server has asked it. */
export interface AirWatch {
  /** Asks again if the last answer is not of just now; silence and nonsense keep the last sane value. */
  readonly report: () => Promise<AirReport>;
  /** What was read over the last days, and what wood has come to by all that was ever read. */
  readonly series: (days: number) => Promise<AirSeries>;
}

/** What the watch needs, passed in. */
export interface AirWorld {
  /** The shop as it stands; its sensor answers at the address it names. */
  readonly shop: () => Promise<ShopDocument | null>;
  readonly validator: Validator;
  readonly log: AirLog;
  readonly now: () => number;
}

/** The server asks this often by itself, so that the record has no holes while nobody looks. */
export const READ_EVERY_MS = 600_000;
/** Sensors are asked no more often than this. */
const ASK_EVERY_MS = 20_000;
/** One that takes longer counts as silent. */
const PATIENCE_MS = 2000;
/** How sensors are asked. */
const SCHEMES: readonly string[] = ['http:', 'https:'];
/** Longer answers are not readings. */
const MOST_CHARACTERS = 4000;
/** Readings closer together than this are not worth keeping. */
const KEEP_EVERY_MS = 0.9 * READ_EVERY_MS;
/** More points than this no chart shows. */
const MOST_POINTS = 600;
/** Readings that make up a usual day, days. */
const USUAL_DAYS = 14;

const DAY_MS = 86_400_000;

/** Watches one sensor; another address starts afresh. */
export function airWatch({ shop, validator, log, now }: AirWorld): AirWatch {
  let known: { readonly address: string; readonly report: AirReport; readonly askedAtMs: number } | null =
    null;
  let keptAtMs = Number.NEGATIVE_INFINITY;
  const keep = async (address: string, { air, takenAtMs }: AirReport) => {
    if (air === null || takenAtMs === null || takenAtMs - keptAtMs < KEEP_EVERY_MS) return;
    keptAtMs = takenAtMs;
    await log.keep(address, [{ ...air, takenAtMs }]);
  };
  let asking: Promise<AirReport> | null = null;
  const report = async (): Promise<AirReport> => {
    const address = (await shop())?.sensor?.address ?? null;
    if (address === null) return NO_SENSOR;
    const before = known !== null && known.address === address ? known : null;
    if (before !== null && now() - before.askedAtMs < ASK_EVERY_MS) return before.report;
    const asked = await ask(address, validator);
    const answer = afterAsking(before?.report ?? (await remembered(log, address)), asked, now());
    if (before === null) keptAtMs = Number.NEGATIVE_INFINITY;
    known = { address, report: answer, askedAtMs: now() };
    await keep(address, answer);
    return answer;
  };
  return {
    // However many pages ask, the sensor is asked once.
    report: () => {
      asking ??= report().finally(() => {
        asking = null;
      });
      return asking;
    },
    series: async (days) => {
      const own = await shop();
      const all = await log.all();
      const since = (lastDays: number) =>
        all.filter(({ takenAtMs }) => takenAtMs >= now() - lastDays * DAY_MS);
      return {
        samples: thinned(since(days), MOST_POINTS),
        means: own === null || all.length === 0 ? [] : runningMeans(all, usualMoisturePct(own), now()),
        usualDay: usualDay(since(USUAL_DAYS), (atMs) => new Date(atMs).getHours()),
      };
    },
  };
}

/** What was read before this server started. */
async function remembered(log: AirLog, address: string): Promise<AirReport> {
  const last = await log.last(address);
  if (last === null) return NO_SENSOR;
  const { takenAtMs, ...air } = last;
  return { ...NO_SENSOR, air, takenAtMs };
}

/** The text of an answer; null as soon as it is longer than a reading, however much more would come. */
async function shortText(response: Response): Promise<string | null> {
  const decoder = new TextDecoder();
  let text = '';
  for await (const chunk of response.body ?? []) {
    text += decoder.decode(chunk, { stream: true });
    // Leaving the loop ends the stream.
    if (text.length > MOST_CHARACTERS) return null;
  }
  return text;
}

async function ask(address: string, validator: Validator): Promise<Asked> {
  try {
    if (!SCHEMES.includes(new URL(address).protocol)) return { kind: 'no-answer' };
    const response = await fetch(address, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'error' });
    const body = response.ok ? await shortText(response) : null;
    if (body === null) return { kind: 'no-answer' };
    return { kind: 'reading', reading: validator.check(AirReadingSchema, JSON.parse(body)) };
  } catch {
    // Refused, too slow, no JSON, or not a reading: to the person all of these are a sensor that does not answer.
    return { kind: 'no-answer' };
  }
}

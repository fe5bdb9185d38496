import type { Climate, ShopDocument } from '../formats';
import { inBalancePct } from '../materials';
import type { AirMean } from './stored-wood';

/** The air at one moment, as a sensor read it. */
export interface AirSample extends Climate {
  readonly takenAtMs: number;
}

/** What a shop's sensor has read, for a chart, for wood and for the day's best hours. */
export interface AirSeries {
  readonly samples: readonly AirSample[];
  /** Moisture content that wood has come to, by how long it takes; empty before the first reading. */
  readonly means: readonly AirMean[];
  /** The air hour by hour on the mean of the last weeks; empty until most hours of a day have been read. */
  readonly usualDay: ShopDocument['hours'];
}

const DAY_MS = 86_400_000;
/** Time constants for which running means are told, days: from a leaf of veneer to a thick beam. */
const MEAN_DAYS: readonly number[] = Object.freeze([1, 3, 10, 30, 90]);

/**
 * Running means of what the air would bring wood to, for wood that comes to balance within 1, 3, 10, 30 and 90 days: each reading stands
 * until the next, a day at most, and its weight dies off exponentially. Before the first reading and in holes of the record the air is
 * taken to have been as usual.
 * @param samples readings in any order.
 * @param usualPct moisture content in the usual air, %.
 */
export function runningMeans(samples: readonly AirSample[], usualPct: number, nowMs: number): AirMean[] {
  const inOrder = samples
    .filter(({ takenAtMs }) => takenAtMs <= nowMs)
    .sort((a, b) => a.takenAtMs - b.takenAtMs);
  return MEAN_DAYS.map((days) => {
    let mcPct = usualPct;
    inOrder.forEach((sample, i) => {
      const spanMs = (inOrder[i + 1]?.takenAtMs ?? nowMs) - sample.takenAtMs;
      const standsMs = Math.min(spanMs, DAY_MS);
      mcPct = approached(mcPct, inBalancePct(sample), standsMs, days);
      mcPct = approached(mcPct, usualPct, spanMs - standsMs, days);
    });
    return { days, mcPct };
  });
}

/** Moisture content after lying for a while in air that would bring it elsewhere, %. */
const approached = (fromPct: number, toPct: number, forMs: number, days: number): number =>
  toPct + (fromPct - toPct) * Math.exp(-forMs / (days * DAY_MS));

/** Fewer hours of the day than this tell nothing of a usual day. */
const LEAST_HOURS = 20;

/**
 * The air hour by hour as it was on the mean of the readings; nothing while fewer than twenty hours of the day have been read.
 * @param hourOf the hour on the wall of the shop, 0 to 23, at a moment.
 */
export function usualDay(
  samples: readonly AirSample[],
  hourOf: (atMs: number) => number,
): ShopDocument['hours'] {
  const byHour = new Map<number, AirSample[]>();
  for (const sample of samples) {
    const hour = hourOf(sample.takenAtMs);
    const own = byHour.get(hour);
    if (own === undefined) byHour.set(hour, [sample]);
    else own.push(sample);
  }
  if (byHour.size < LEAST_HOURS) return [];
  const mean = (of: readonly AirSample[], key: keyof Climate) =>
    of.reduce((sum, sample) => sum + sample[key], 0) / of.length;
  return [...byHour]
    .map(([hour, of]) => ({ hour, tempC: mean(of, 'tempC'), rhPct: mean(of, 'rhPct') }))
    .sort((a, b) => a.hour - b.hour);
}

const HOURS_A_DAY = 24;

/**
 * The air of a usual day at some hour, on the straight line between the hours that are known before and after it, over midnight too.
 * @param hour 0 to 24, with fractions.
 * @returns null where no hour is known.
 */
export function airAtHour(hours: ShopDocument['hours'], hour: number): Climate | null {
  const known = [...hours].sort((a, b) => a.hour - b.hour);
  const before = known.findLast((each) => each.hour <= hour) ?? known.at(-1);
  const after = known.find((each) => each.hour > hour) ?? known[0];
  if (before === undefined || after === undefined) return null;
  const span = (after.hour - before.hour + HOURS_A_DAY) % HOURS_A_DAY || HOURS_A_DAY;
  const share = ((hour - before.hour + HOURS_A_DAY) % HOURS_A_DAY) / span;
  const between = (key: keyof Climate) => before[key] + share * (after[key] - before[key]);
  return { tempC: between('tempC'), rhPct: between('rhPct') };
}

/** At most so many of the readings, evenly over time, the first and the last among them: enough for a chart. */
export function thinned(samples: readonly AirSample[], most: number): AirSample[] {
  if (samples.length <= most) return [...samples];
  const step = (samples.length - 1) / (most - 1);
  return Array.from({ length: most }, (_, i) => samples[Math.round(i * step)] as AirSample);
}

/** A stretch of the day, from the beginning of one hour to the end of another, and the open time in its air. */
export interface GoodHours {
  readonly fromHour: number;
  readonly toHour: number;
  /** Shortest of any hour of it, min. */
  readonly openMin: number;
}

/** Hours next to each other are as good as the best while they leave this share of its open time [judgement]. */
const AS_GOOD = 0.9;

/**
 * The hours of a usual day in which a glue stays open longest: the hour with the longest, and its neighbours that come near it.
 * @param openMinAt short end of the open time in an air, min; null where the glue does not set.
 * @returns null where it sets in no hour.
 */
export function bestHours(
  hours: ShopDocument['hours'],
  openMinAt: (air: Climate) => number | null,
): GoodHours | null {
  const known = hours.map(({ hour, ...air }) => ({ hour, openMin: openMinAt(air) }));
  const best = known.reduce<(typeof known)[number] | null>(
    (most, each) => ((each.openMin ?? 0) > (most?.openMin ?? 0) ? each : most),
    null,
  );
  if (best?.openMin == null) return null;
  const least = AS_GOOD * best.openMin;
  const isGood = (hour: number) =>
    known.some((each) => each.hour === hour && each.openMin !== null && each.openMin >= least);
  let { hour: from } = best;
  let to = from;
  while (from > 0 && isGood(from - 1)) from -= 1;
  while (to < 23 && isGood(to + 1)) to += 1;
  const within = known
    .filter(({ hour }) => hour >= from && hour <= to)
    .flatMap(({ openMin }) => openMin ?? []);
  return { fromHour: from, toHour: to + 1, openMin: Math.min(...within) };
}

import { adhesiveWindow, findAdhesive } from '../adhesives';
import type { AirSample } from '../air';
import type { Climate, RunPromise, ShopDocument } from '../formats';
import { inBalancePct, PLAIN_TRAITS } from '../materials';

/** What a run promised of its release, and since when it has been in clamps. */
export interface InClamps {
  readonly clampedAtMs: number;
  readonly promise: Pick<RunPromise, 'adhesive' | 'climate' | 'clampMin' | 'machineMin'>;
}

/** What is known of the air from then on. */
export interface AirSince {
  /** Readings in any order. */
  readonly samples: readonly AirSample[];
  /** The usual day, by which it will go on; empty where nobody knows: then by the last reading. */
  readonly hours: ShopDocument['hours'];
  readonly nowMs: number;
  /** The hour on the wall of the shop, 0 to 23, at a moment. */
  readonly hourOf: (atMs: number) => number;
}

/** When it may come out by the air as it has been; null where the glue does not tell, or it never sets in such air. */
export interface ReleaseByAir {
  readonly clampsOffMs: number | null;
  readonly machineMs: number | null;
}

const HOUR_MS = 3_600_000;
const MS_PER_MIN = 60_000;
/** A reading stands until the next, so long at most; in a hole of the record the air counts as planned. */
const STANDS_MS = 2 * HOUR_MS;
/** What has not set by then does not. */
const HORIZON_MS = 60 * 24 * HOUR_MS;

/** A stretch of time with the air in it; null where it is as planned. */
interface Stretch {
  readonly untilMs: number;
  readonly air: Climate | null;
}

/**
 * Release times from the air since the clamps went on: curing goes on as fast as in the air of each moment, at the rate that the
 * clamp time of the family has there over the one that was promised, and stands still where the family is refused for cold. What is
 * still to come goes by the usual day. Source: models §1, rates of successive temperatures added up [judgement].
 */
export function releaseByAir({ clampedAtMs, promise }: InClamps, air: AirSince): ReleaseByAir {
  const { clampMin, machineMin } = promise;
  const rate = rateIn(promise);
  const wanted = [clampMin, machineMin].map((min) => (min === null ? Infinity : min * MS_PER_MIN));
  const found: (number | null)[] = [null, null];
  let atMs = clampedAtMs;
  let curedMs = 0;
  for (const { untilMs, air: there } of stretches(clampedAtMs, air)) {
    const speed = rate(there);
    const gained = (untilMs - atMs) * speed;
    wanted.forEach((target, i) => {
      if (found[i] === null && curedMs + gained >= target) found[i] = atMs + (target - curedMs) / speed;
    });
    curedMs += gained;
    atMs = untilMs;
    if (wanted.every((target) => curedMs >= target)) break;
  }
  const [clampsOffMs = null, machineMs = null] = found;
  return { clampsOffMs, machineMs };
}

/** How fast it cures in some air against the air of the promise. */
function rateIn({ adhesive, climate }: InClamps['promise']): (air: Climate | null) => number {
  const family = findAdhesive(adhesive);
  // Wood does not follow the air within a cure.
  const mcPct = inBalancePct(climate);
  const clampIn = ({ tempC, rhPct }: Climate) =>
    adhesiveWindow(family, { tempC, rhPct, faces: 1, traits: PLAIN_TRAITS, mcPct }).clampMin?.high ?? null;
  const promised = clampIn(climate);
  const known = new Map<string, number>();
  return (air) => {
    if (air === null || promised === null) return 1;
    const key = `${air.tempC.toFixed(1)} ${Math.round(air.rhPct)}`;
    const there =
      known.get(key) ??
      (() => {
        const clamp = clampIn(air);
        return clamp === null ? 0 : promised / clamp;
      })();
    known.set(key, there);
    return there;
  };
}

function* stretches(fromMs: number, { samples, hours, nowMs, hourOf }: AirSince): Generator<Stretch> {
  const inOrder = samples
    .filter(({ takenAtMs }) => takenAtMs <= nowMs)
    .sort((a, b) => a.takenAtMs - b.takenAtMs);
  let atMs = fromMs;
  for (const [i, sample] of inOrder.entries()) {
    const endMs = Math.min(inOrder[i + 1]?.takenAtMs ?? nowMs, sample.takenAtMs + STANDS_MS);
    if (endMs <= atMs) continue;
    if (sample.takenAtMs > atMs) yield { untilMs: sample.takenAtMs, air: null };
    yield { untilMs: endMs, air: sample };
    atMs = endMs;
  }
  if (nowMs > atMs) {
    yield { untilMs: nowMs, air: null };
    atMs = nowMs;
  }
  const last = inOrder.at(-1);
  const fresh = last !== undefined && nowMs - last.takenAtMs <= STANDS_MS ? last : null;
  while (atMs < fromMs + HORIZON_MS) {
    const hour = hourOf(atMs);
    const usual = hours.find((each) => each.hour === hour);
    const untilMs = (Math.floor(atMs / HOUR_MS) + 1) * HOUR_MS;
    yield { untilMs, air: usual ?? fresh };
    atMs = untilMs;
  }
}

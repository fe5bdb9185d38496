import type { ClosedAs, Recheck, RecheckFinding, RunDocument, RunEvent, Stretch } from '../formats';
import type { VerdictState } from '../verdicts';
import { inOrder } from './events';

type Payload = NonNullable<RunEvent['payload']>;

/** A check that was read once the clamps were off, and whether it was within what was wanted. */
export type LaterReading = NonNullable<Payload['reading']> & { readonly atMs: number };

/** A picture in the record. */
export interface Picture {
  readonly id: string;
  readonly caption: string;
  readonly atMs: number;
}

/** What was seen and read once the piece was left alone, the newest telling of each thing. */
export interface Afterwards {
  /** By joint; joints without an entry were not looked at, those with an empty one are a fine bead all along. */
  readonly stretches: ReadonlyMap<string, readonly Stretch[]>;
  /** The last reading of each check. */
  readonly readings: ReadonlyMap<string, LaterReading>;
  readonly pictures: readonly Picture[];
  readonly coupon: Coupon | null;
  /** How glue was when joints were closed, by joint. */
  readonly closed: ReadonlyMap<string, ClosedAs>;
  /** What was seen by whoever looked for a cause, by what was looked at. */
  readonly looks: ReadonlyMap<string, string>;
  /** What went wrong, and what it was put down to. */
  readonly cause: { readonly symptom: string; readonly cause: string } | null;
  readonly rechecks: ReadonlyMap<Recheck, { readonly found: RecheckFinding; readonly atMs: number }>;
}

/** A pair of offcuts glued along; null per cent until it is broken. */
export interface Coupon {
  readonly woodFailurePct: number | null;
  readonly atMs: number;
}

/** Replays what was noted afterwards. Readings at the bench name their operation; those here name none. */
export function readAfterwards({ events }: Pick<RunDocument, 'events'>): Afterwards {
  const stretches = new Map<string, readonly Stretch[]>();
  const readings = new Map<string, LaterReading>();
  const pictures = new Map<string, Picture>();
  const rechecks = new Map<Recheck, { readonly found: RecheckFinding; readonly atMs: number }>();
  let coupon: Coupon | null = null;
  let cause: Afterwards['cause'] = null;
  const closed = new Map<string, ClosedAs>();
  const looks = new Map<string, string>();
  for (const { kind, joint, operation, payload = {}, atMs } of inOrder(events)) {
    if (payload.stretches !== undefined && joint !== undefined) stretches.set(joint, payload.stretches);
    if (kind === 'reading' && payload.reading !== undefined && operation === undefined) {
      readings.set(payload.reading.check, { ...payload.reading, atMs });
    }
    if (payload.closed !== undefined && joint !== undefined) closed.set(joint, payload.closed);
    if (payload.look !== undefined) looks.set(payload.look.at, payload.look.seen);
    if (payload.cause !== undefined) cause = payload.cause;
    if (payload.coupon !== undefined) coupon = { ...payload.coupon, atMs };
    if (payload.recheck !== undefined)
      rechecks.set(payload.recheck.due, { found: payload.recheck.found, atMs });
    if (payload.picture !== undefined) {
      const { id, caption, gone } = payload.picture;
      if (gone) pictures.delete(id);
      else pictures.set(id, { id, caption, atMs: pictures.get(id)?.atMs ?? atMs });
    }
  }
  return { stretches, readings, pictures: [...pictures.values()], coupon, closed, looks, cause, rechecks };
}

const DAY_MS = 86_400_000;
/** When a piece is looked at again: moisture that swelled the lines has left after a week, a season moves the wood once [judgement]. */
const RECHECK_DAYS: Readonly<Record<Recheck, number>> = { week: 7, season: 91 };
/** So long it is asked for before it is let be, days. */
const ASKED_DAYS = 60;

/** A look that is due, or will be. */
export interface DueRecheck {
  readonly due: Recheck;
  readonly atMs: number;
}

/**
 * The next look at a piece that was clamped; null where none is left, where it is out of reach, or where the time for it is long past.
 * @param done the looks that were taken, with what was found.
 */
export function nextRecheck(
  clampedAtMs: number | null,
  done: Readonly<Partial<Record<Recheck, RecheckFinding>>>,
  nowMs: number,
): DueRecheck | null {
  if (clampedAtMs === null || Object.values(done).includes('out-of-reach')) return null;
  for (const due of ['week', 'season'] as const) {
    const atMs = clampedAtMs + RECHECK_DAYS[due] * DAY_MS;
    if (done[due] === undefined && nowMs < atMs + ASKED_DAYS * DAY_MS) return { due, atMs };
  }
  return null;
}

/** Least share of a break in the wood that tells a sound joint, and the share below which the glue is in question, per cent [judgement]. */
const SOUND_PCT = 75;
const POOR_PCT = 50;

/** What a broken coupon says of bottle, air and pressure. */
export const couponState = (woodFailurePct: number): VerdictState =>
  woodFailurePct >= SOUND_PCT ? 'holds' : woodFailurePct >= POOR_PCT ? 'close' : 'fails';

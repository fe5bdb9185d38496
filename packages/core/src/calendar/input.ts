import { InputError } from '../basics/checks';
import type { ClampCount } from '../sequence';
import type { CalendarProblem, CalendarSession, CalendarShop, Wait } from './calendar';
import { Openings, type ShopHours } from './openings';
import { readWallTime } from './wall-time';

/** A session as the contract names it. */
export interface DatedSession {
  readonly id: string;
  readonly setUpMin: number;
  readonly handsOnMin: number;
  readonly clampMin: number;
  readonly machineMin?: number | undefined;
  readonly cureMin?: number | undefined;
  readonly crew?: number | undefined;
  readonly clamps: ClampCount;
  readonly bench?: number | undefined;
  readonly after: readonly { readonly id: string; readonly wait: 'clamp' | 'machine' | 'cure' | number }[];
}

/** Question for `datedSessions` as the contract names it. */
export interface CalendarInput {
  readonly sessions: readonly DatedSession[];
  readonly shop: CalendarShop;
  readonly hours: readonly ShopHours[];
  /** "YYYY-MM-DDTHH:MM", wall time. */
  readonly start: string;
}

/**
 * Indexes for ids and minutes for waits.
 * @throws InputError for ids that are unknown or given twice, waits whose minutes are not given, odd hours and dates.
 */
export function calendarProblemOf({ sessions, shop, hours, start }: CalendarInput): CalendarProblem {
  const indexOf = new Map<string, number>();
  sessions.forEach(({ id }, i) => {
    if (indexOf.has(id)) {
      throw new InputError(
        'inconsistent',
        `sessions.${i}.id`,
        `There are two sessions "${id}".`,
        'each id once',
      );
    }
    indexOf.set(id, i);
  });
  const waitOf = (session: DatedSession, i: number, k: number): Wait => {
    const { id, wait } = session.after[k] ?? { id: '', wait: 0 };
    const field = `sessions.${i}.after.${k}`;
    const index = indexOf.get(id);
    const other = sessions[index ?? -1];
    if (index === undefined || other === undefined) {
      throw new InputError(
        'unknown-id',
        `${field}.id`,
        `Session "${session.id}" waits for "${id}", which is not there.`,
        `one of ${sessions.map((each) => each.id).join(', ')}`,
      );
    }
    if (typeof wait === 'number') return { session: index, from: 'clamps', minutes: wait };
    if (wait === 'clamp') return { session: index, from: 'clamps', minutes: 0 };
    const minutes = wait === 'machine' ? other.machineMin : other.cureMin;
    if (minutes === undefined) {
      throw new InputError(
        'missing',
        `${field}.wait`,
        `Session "${session.id}" waits for "${id}" until it may be ${wait === 'machine' ? 'machined' : 'loaded'}, but ${wait}Min of "${id}" is not given.`,
        `${wait}Min of "${id}" in minutes`,
      );
    }
    return { session: index, from: 'hands', minutes };
  };
  return {
    sessions: sessions.map((session, i): CalendarSession => ({
      workMin: session.setUpMin + session.handsOnMin,
      clampMin: session.clampMin,
      crew: session.crew ?? 1,
      clamps: session.clamps,
      bench: session.bench ?? 1,
      after: session.after.map((_, k) => waitOf(session, i, k)),
    })),
    shop,
    openings: Openings.of(hours),
    start: readWallTime(start, 'start'),
  };
}

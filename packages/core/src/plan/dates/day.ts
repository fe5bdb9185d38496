import { Openings, type WallMinute } from '../../calendar';
import type { ShopDocument } from '../../formats';
import { weekOf } from './dates';
import type { ShopCalendar, ShopSession } from './shop-calendar';

/** What is left of a day on which the shop is open. */
export interface HoursLeft {
  readonly closes: WallMinute;
  readonly leftMin: number;
  /** Sessions of the calendar whose hands-on work ends before it closes, in the order of starting. */
  readonly fits: readonly ShopSession[];
}

/** @returns null while the shop is closed, and where it never closes. */
export function hoursLeft(calendar: ShopCalendar, shop: ShopDocument, now: WallMinute): HoursLeft | null {
  const closes = Openings.of(weekOf(shop).hours).closesAfter(now);
  if (closes === null) return null;
  const fits = calendar.sessions.filter(({ handsEnd }) => handsEnd <= closes);
  return { closes, leftMin: closes - now, fits };
}

/** When a session was to begin, by a calendar of before. */
export interface PlannedStart {
  readonly build: string;
  readonly session: number;
  readonly start: WallMinute;
}

/** A session that begins later than it was to. */
export interface Slip {
  readonly session: ShopSession;
  readonly was: WallMinute;
}

/** What did not begin when it was to, and what begins later for it. */
export interface Slips {
  /** Their time is past, and they still wait. */
  readonly slipped: readonly Slip[];
  /** Their time is to come; they have been put off. */
  readonly moved: readonly Slip[];
}

/** A start that moves by less is none, min: calendars begin at full quarters. */
const HARDLY_MIN = 30;

/** Compares a calendar with when its sessions were to begin; what was glued meanwhile is in no calendar and not told. */
export function slipsOf(
  planned: readonly PlannedStart[],
  { sessions }: ShopCalendar,
  now: WallMinute,
): Slips {
  const late = sessions.flatMap((session): Slip[] => {
    const before = planned.find((each) => each.build === session.build && each.session === session.session);
    return before === undefined || session.start - before.start < HARDLY_MIN
      ? []
      : [{ session, was: before.start }];
  });
  return { slipped: late.filter(({ was }) => was < now), moved: late.filter(({ was }) => was >= now) };
}

/** Starts of a calendar, to be compared with later ones. */
export const startsOf = ({ sessions }: ShopCalendar): PlannedStart[] =>
  sessions.map(({ build, session, start }) => ({ build, session, start }));

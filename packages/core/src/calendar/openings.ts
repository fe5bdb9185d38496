import { InputError } from '../basics/checks';
import { DAY_MIN, minuteOfWeek, WEEK_MIN, type WallMinute } from './wall-time';

/** Hours on one day of the week in which hands are in the shop; day 0 is Sunday. */
export interface ShopHours {
  readonly day: number;
  readonly fromMin: number;
  readonly toMin: number;
}

/** A stretch of the week, in minutes from Sunday midnight; the last may reach into the next week. */
interface Opening {
  readonly from: number;
  readonly to: number;
}

/** When the shop is open, with openings that touch or overlap made one, also over midnight. */
export class Openings {
  private constructor(private readonly week: readonly Opening[]) {}

  /** @throws InputError where an opening ends before it begins. */
  static of(hours: readonly ShopHours[]): Openings {
    hours.forEach(({ fromMin, toMin }, i) => {
      if (toMin <= fromMin) {
        throw new InputError(
          'inconsistent',
          `hours.${i}.toMin`,
          `Opening ${i + 1} ends at minute ${toMin}, before it begins at ${fromMin}.`,
          'an end after the beginning, up to 1440',
        );
      }
    });
    const sorted = hours
      .map(({ day, fromMin, toMin }) => ({ from: day * DAY_MIN + fromMin, to: day * DAY_MIN + toMin }))
      .sort((x, y) => x.from - y.from);
    const merged: { from: number; to: number }[] = [];
    for (const next of sorted) {
      const last = merged[merged.length - 1];
      if (last !== undefined && next.from <= last.to) last.to = Math.max(last.to, next.to);
      else merged.push({ ...next });
    }
    const [first] = merged;
    const last = merged[merged.length - 1];
    if (
      first !== undefined &&
      last !== undefined &&
      first !== last &&
      first.from === 0 &&
      last.to === WEEK_MIN
    ) {
      last.to += first.to;
      merged.shift();
    }
    return new Openings(merged);
  }

  /** Longest stretch without closing, min; infinite where the shop never closes. */
  longestMin(): number {
    if (this.neverCloses()) return Infinity;
    return Math.max(0, ...this.week.map(({ from, to }) => to - from));
  }

  /** The first minute from `at` on from which `minutes` of work fit into one opening; null where none ever does. */
  nextStart(at: WallMinute, minutes: number): WallMinute | null {
    if (this.neverCloses()) return at;
    if (minutes > this.longestMin()) return null;
    const sunday = at - minuteOfWeek(at);
    for (let week = -1; week <= 2; week += 1) {
      for (const { from, to } of this.week) {
        const start = Math.max(at, sunday + week * WEEK_MIN + from);
        if (start + minutes <= sunday + week * WEEK_MIN + to + 1e-9) return start;
      }
    }
    return null;
  }

  /** End of the opening that contains `at`, or null where the shop is closed then (or never closes). */
  closesAfter(at: WallMinute): WallMinute | null {
    if (this.neverCloses()) return null;
    const sunday = at - minuteOfWeek(at);
    for (const week of [-1, 0]) {
      for (const { from, to } of this.week) {
        const [opens, closes] = [sunday + week * WEEK_MIN + from, sunday + week * WEEK_MIN + to];
        if (opens <= at && at < closes) return closes;
      }
    }
    return null;
  }

  private neverCloses(): boolean {
    return this.week.some(({ from, to }) => to - from >= WEEK_MIN);
  }
}

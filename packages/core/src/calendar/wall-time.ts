import { InputError } from '../basics/checks';

/** Minutes since the first minute of 1970 on a wall clock that knows no zones and no daylight saving. */
export type WallMinute = number;

/** Minutes of a day and of a week. */
export const DAY_MIN = 1440;
export const WEEK_MIN = 7 * DAY_MIN;
/** The first of January 1970 was a Thursday; days count from Sunday. */
const FIRST_DAY = 4;

const FORM = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;

/**
 * Reads "YYYY-MM-DDTHH:MM".
 * @throws InputError where the text has another form or names no day of the calendar.
 */
export function readWallTime(text: string, field: string): WallMinute {
  const [, year = '', month = '', day = '', hour = '', minute = ''] = FORM.exec(text) ?? [];
  const ms = Date.UTC(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute));
  if (year === '' || new Date(ms).toISOString().slice(0, 16) !== text) {
    throw new InputError(
      'inconsistent',
      field,
      `${field} is "${text}", which is no date and time.`,
      'a day and time such as "2027-03-01T08:30"',
    );
  }
  return ms / 60000;
}

/** Writes "YYYY-MM-DDTHH:MM:SS", to the nearest second. */
export function writeWallTime(at: WallMinute): string {
  return new Date(Math.round(at * 60) * 1000).toISOString().slice(0, 19);
}

/** Minutes since the last Sunday midnight. */
export function minuteOfWeek(at: WallMinute): number {
  const shifted = at + FIRST_DAY * DAY_MIN;
  return shifted - Math.floor(shifted / WEEK_MIN) * WEEK_MIN;
}

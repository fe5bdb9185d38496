import type { ShopHours } from '@lean-clasp/core/calendar';

/** Days in the order in which a week is read; 0 is Sunday. */
export const WEEK: readonly { readonly day: number; readonly name: string }[] = [
  { day: 1, name: 'Monday' },
  { day: 2, name: 'Tuesday' },
  { day: 3, name: 'Wednesday' },
  { day: 4, name: 'Thursday' },
  { day: 5, name: 'Friday' },
  { day: 6, name: 'Saturday' },
  { day: 0, name: 'Sunday' },
];

const SPAN = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/;
/** Openings of one day at most. */
const MOST_SPANS = 3;

/** Hours of one day as read, or what is wrong with them. */
export type ReadHours =
  | { readonly ok: true; readonly hours: readonly ShopHours[] }
  | { readonly ok: false; readonly problem: string };

/** Reads "8–12, 13:30–17"; nothing at all, or "closed", means closed. */
export function readHours(day: number, text: string): ReadHours {
  const bare = text.trim().toLowerCase();
  if (bare === '' || bare === 'closed') return { ok: true, hours: [] };
  const hours: ShopHours[] = [];
  for (const span of bare.split(/[,;]/)) {
    const [, fromH = '', fromM = '0', toH = '', toM = '0'] = SPAN.exec(span.trim()) ?? [];
    if (fromH === '') {
      return {
        ok: false,
        problem: `"${span.trim()}" is no opening. Type hours like 8–12, 13:30–17, or nothing where closed.`,
      };
    }
    const [fromMin, toMin] = [60 * Number(fromH) + Number(fromM), 60 * Number(toH) + Number(toM)];
    if (Number(fromM) > 59 || Number(toM) > 59 || toMin > 1440 || fromMin >= toMin) {
      return { ok: false, problem: `"${span.trim()}" has to end after it begins, between 0:00 and 24:00.` };
    }
    hours.push({ day, fromMin, toMin });
  }
  if (hours.length > MOST_SPANS) return { ok: false, problem: `At most ${MOST_SPANS} openings in a day.` };
  return { ok: true, hours: hours.sort((a, b) => a.fromMin - b.fromMin) };
}

/** "8:00–12:00, 13:30–17:00", or "closed". */
export function printHours(day: number, hours: readonly ShopHours[]): string {
  const own = hours.filter((each) => each.day === day).sort((a, b) => a.fromMin - b.fromMin);
  if (own.length === 0) return 'closed';
  return own.map(({ fromMin, toMin }) => `${clock(fromMin)}–${clock(toMin)}`).join(', ');
}

const clock = (minutes: number) =>
  `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

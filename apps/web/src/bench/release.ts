import dayjs from 'dayjs';

export { type Release, releaseOf } from '@lean-clasp/core/runs';

/** An instant as one says it in the shop: today's by the clock, another day's with its date. */
export function instantWords(ms: number, nowMs: number): string {
  const at = dayjs(ms);
  const days = at.startOf('day').diff(dayjs(nowMs).startOf('day'), 'day');
  const clock = at.format('HH:mm');
  if (days === 0) return `today ${clock}`;
  if (days === 1) return `tomorrow ${clock}`;
  if (days === -1) return `yesterday ${clock}`;
  return at.format('D MMM YYYY, HH:mm');
}

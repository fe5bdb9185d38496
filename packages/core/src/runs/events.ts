import { InputError } from '../basics/checks';
import type { RunEvent } from '../formats';

/** What tells an event from every other of its run. */
const eventKey = ({ device, seq }: Pick<RunEvent, 'device' | 'seq'>): string => `${device}.${seq}`;

/**
 * Events in the one order that every device reads them in, however they arrived: by their instants, those of one device never
 * going back however its clock was set, then by device.
 */
export function inOrder(events: readonly RunEvent[]): RunEvent[] {
  const latest = new Map<string, number>();
  return [...events]
    .sort((a, b) => a.seq - b.seq)
    .map((event) => {
      const atMs = Math.max(event.atMs, latest.get(event.device) ?? event.atMs);
      latest.set(event.device, atMs);
      return { event, atMs };
    })
    .sort((a, b) => a.atMs - b.atMs || compare(a.event.device, b.event.device) || a.event.seq - b.event.seq)
    .map(({ event, atMs }) => (event.atMs === atMs ? event : { ...event, atMs }));
}

/** By code units, the same on every device whatever its language. */
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * Events of both, each once.
 * @throws InputError `inconsistent` where one event was told in two ways: what happened is never rewritten.
 */
export function merged(known: readonly RunEvent[], more: readonly RunEvent[]): RunEvent[] {
  const byKey = new Map(known.map((event) => [eventKey(event), event]));
  for (const event of more) {
    const before = byKey.get(eventKey(event));
    if (before !== undefined && !alike(before, event)) {
      throw new InputError(
        'inconsistent',
        'events',
        `Event ${event.seq} of one device was told in another way before.`,
        'what happened once; events are only added',
      );
    }
    byKey.set(eventKey(event), before ?? event);
  }
  return [...byKey.values()];
}

/** Whether two tellings of an event say the same, whatever the order of their fields. */
export const alike = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => compare(a, b)))
      : inner,
  );

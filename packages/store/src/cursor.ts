import { InputError } from '@lean-clasp/core/basics';

/** Where a page of a list ends: an instant, and the id of what was last of those of that instant. */
type Place = readonly [atMs: number, id: string];

/**
 * One page of rows that were asked for with one more than it shows, and the cursor to go on from; null on the last page.
 */
export function cut<Row>(
  rows: readonly Row[],
  limit: number,
  placeOf: (row: Row) => Place,
): { readonly shown: readonly Row[]; readonly next: string | null } {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { shown, next: rows.length > limit && last !== undefined ? placeOf(last).join('.') : null };
}

/** @throws InputError for what is no cursor. */
export function cursorOf(text: string): Place {
  const [, atMs, id] = /^(\d{1,16})\.([A-Za-z0-9_-]{1,64})$/.exec(text) ?? [];
  if (atMs === undefined || id === undefined) {
    throw new InputError('inconsistent', 'after', 'This is no place in the list.', 'the "next" of a page');
  }
  return [Number(atMs), id];
}

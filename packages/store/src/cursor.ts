import { InputError } from '@lean-clasp/core/basics';

/** Where a page of a list ends: an instant, and the id of what was last of those of that instant. */
export const cursorTo = (atMs: number, id: string): string => `${atMs}.${id}`;

/** @throws InputError for what is no cursor. */
export function cursorOf(text: string): [number, string] {
  const [, atMs, id] = /^(\d{1,16})\.([A-Za-z0-9_-]{1,64})$/.exec(text) ?? [];
  if (atMs === undefined || id === undefined) {
    throw new InputError('inconsistent', 'after', 'This is no place in the list.', 'the "next" of a page');
  }
  return [Number(atMs), id];
}

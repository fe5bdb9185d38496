import { useState } from 'react';
import { browserStorage } from './browser-storage';

/** What a browser kept under a name, as far as it is sound; what is not there or not readable counts as null. */
function kept(key: string): unknown {
  try {
    return JSON.parse(browserStorage().getItem(key) ?? 'null');
  } catch {
    return null;
  }
}

/**
 * Something small that this browser keeps over a reload, beside the database.
 * @param sound what of it is to be believed: anything may stand there.
 * @returns it, and how to keep something else in its place; full or forbidden, it holds until the page is left.
 */
export function useKept<T>(key: string, sound: (kept: unknown) => T): readonly [T, (next: T) => void] {
  const [value, setValue] = useState(() => sound(kept(key)));
  const keep = (next: T) => {
    try {
      browserStorage().setItem(key, JSON.stringify(next));
    } catch {
      // It holds until the page is left.
    }
    setValue(next);
  };
  return [value, keep];
}

/** Whether something that was kept is a record of named values. */
export const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

import { useState } from 'react';
import { browserStorage } from '../../../keeping/browser-storage';

const keyOf = (name: string) => `lean-clasp.waits.${name}`;
/** What was begun longer ago than this belongs to another day. */
const FORGOTTEN_MS = 12 * 3_600_000;

/** When each wait was begun, epoch ms, by what it waits for. */
type Begun = Readonly<Record<string, number>>;

function read(name: string): Begun {
  try {
    const kept: unknown = JSON.parse(browserStorage().getItem(keyOf(name)) ?? '{}');
    if (typeof kept !== 'object' || kept === null) return {};
    const recent = ([, at]: [string, unknown]) => typeof at === 'number' && Date.now() - at < FORGOTTEN_MS;
    return Object.fromEntries(Object.entries(kept).filter(recent));
  } catch {
    return {};
  }
}

/** Waits that run before the clock does; kept in the browser so that neither a reload nor another page stops one. */
export function useWaits(name: string): {
  readonly begun: Begun;
  readonly begin: (what: string) => void;
  readonly forget: (what: string) => void;
} {
  const [begun, setBegun] = useState(() => read(name));
  const write = (next: Begun) => {
    try {
      browserStorage().setItem(keyOf(name), JSON.stringify(next));
    } catch {
      // Full or forbidden: waits run until the page is left.
    }
    setBegun(next);
  };
  return {
    begun,
    begin: (what) => write({ ...begun, [what]: Date.now() }),
    forget: (what) => write(Object.fromEntries(Object.entries(begun).filter(([each]) => each !== what))),
  };
}

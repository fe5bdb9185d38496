import { useState } from 'react';
import { browserStorage } from '../keeping/browser-storage';

const keyOf = (buildId: string) => `lean-clasp.ticks.${buildId}`;

function read(buildId: string): readonly string[] {
  try {
    const kept: unknown = JSON.parse(browserStorage().getItem(keyOf(buildId)) ?? '[]');
    return Array.isArray(kept) ? kept.map(String) : [];
  } catch {
    return [];
  }
}

/** Things ticked off at this bench for one build; kept in the browser so that a reload forgets none. */
export function useTicks(buildId: string): {
  readonly ticked: readonly string[];
  readonly toggle: (item: string) => void;
  readonly clear: () => void;
} {
  const [ticked, setTicked] = useState(() => read(buildId));
  const write = (next: readonly string[]) => {
    try {
      browserStorage().setItem(keyOf(buildId), JSON.stringify(next));
    } catch {
      // Full or forbidden: ticks hold until the page is left.
    }
    setTicked(next);
  };
  return {
    ticked,
    toggle: (item) =>
      write(ticked.includes(item) ? ticked.filter((other) => other !== item) : [...ticked, item]),
    clear: () => write([]),
  };
}

import { growingRetries, type Retries } from './retry';

/** What this page is sending, each thing by itself. */
export interface Queues {
  /** Begins to send, unless that is underway; what it returns ends it. */
  readonly begin: (what: string) => (() => void) | null;
  readonly retries: (what: string) => Retries;
}

export function makeQueues(): Queues {
  const underway = new Set<string>();
  const retries = new Map<string, Retries>();
  return {
    begin: (what) => {
      if (underway.has(what)) return null;
      underway.add(what);
      return () => underway.delete(what);
    },
    retries: (what) => {
      const own = retries.get(what) ?? growingRetries();
      retries.set(what, own);
      return own;
    },
  };
}

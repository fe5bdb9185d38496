import type { Edit } from './history';

/** Edits not yet taken by the server, as kept in the browser against a crash. */
export interface KeptEdits {
  readonly revision: number;
  readonly edits: readonly Edit[];
}

const keyOf = (id: string) => `lean-clasp.pending.${id}`;

/** Writes the pending edits of a document, or forgets them when there are none. */
export function keepPending(id: string, kept: KeptEdits): void {
  if (kept.edits.length === 0) localStorage.removeItem(keyOf(id));
  else localStorage.setItem(keyOf(id), JSON.stringify(kept));
}

/** Reads back what an earlier visit could not send. */
export function keptPending(id: string): KeptEdits | null {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as KeptEdits | null;
  } catch {
    return null;
  }
}

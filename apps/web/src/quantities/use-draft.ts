import { useState } from 'react';

/** What stands in a field: what was typed, until it is left; a value changed from outside replaces it. */
export interface Draft {
  readonly text: string;
  /** @param printed how the value that the typed text leaves behind is printed. */
  readonly type: (text: string, printed: string) => void;
  readonly leave: () => void;
}

/** @param printed the value as it is printed. */
export function useDraft(printed: string): Draft {
  const [draft, setDraft] = useState<{ readonly text: string; readonly printed: string } | null>(null);
  if (draft !== null && draft.printed !== printed) setDraft(null);
  return {
    text: draft?.text ?? printed,
    type: (text, then) => setDraft({ text, printed: then }),
    leave: () => setDraft(null),
  };
}

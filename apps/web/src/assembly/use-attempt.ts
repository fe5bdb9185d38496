import { InputError } from '@lean-clasp/core/basics';
import { useState } from 'react';

/** Why something cannot be made, and what could. */
export interface Refusal {
  readonly message: string;
  readonly allowed: string;
}

/** Runs `work` and gives back what it refuses, or null. */
export function refusalOf(work: () => unknown): Refusal | null {
  try {
    work();
    return null;
  } catch (error) {
    if (error instanceof InputError) return { message: error.message, allowed: error.allowed };
    throw error;
  }
}

/**
 * Holds on to what was entered even while it cannot be made: the last good value stands, what was typed stays.
 * A value changed from outside (undo, another tab) replaces what was typed.
 */
export function useAttempt<T>(
  value: T,
  check: (attempt: T) => Refusal | null,
  keep: (attempt: T) => void,
): { readonly shown: T; readonly refusal: Refusal | null; readonly set: (attempt: T) => void } {
  const [draft, setDraft] = useState<{
    readonly attempt: T;
    readonly over: T;
    readonly refusal: Refusal;
  } | null>(null);
  const held = draft !== null && draft.over === value ? draft : null;
  return {
    shown: held?.attempt ?? value,
    refusal: held?.refusal ?? null,
    set: (attempt) => {
      const refusal = check(attempt);
      setDraft(refusal === null ? null : { attempt, over: value, refusal });
      if (refusal === null) keep(attempt);
    },
  };
}

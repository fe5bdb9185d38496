import { original } from '@reduxjs/toolkit';

/**
 * The state itself instead of Immer's draft, for reducers that build new state on their own: what they keep is
 * then compared by identity and patched as plain data.
 */
export function plainState<S>(draft: unknown): S {
  return original(draft) as S;
}

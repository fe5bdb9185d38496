import type { AppThunk } from '../app/store';
import type { Kept } from './kept';
import { keepingFailed } from './keeping-slice';

/**
 * Writes the safety copy beside whatever is sent. Storage that is full or forbidden costs the copy and nothing else, and the page
 * says so until it works again.
 * @param frees it only takes something out, which works in a full storage too and so proves nothing.
 */
export function keepBeside(
  write: (kept: Kept) => Promise<void>,
  { frees = false }: { readonly frees?: boolean } = {},
): AppThunk<Promise<void>> {
  return async (dispatch, getState, { kept }) => {
    const { failing } = getState().keeping;
    try {
      await write(kept);
      if (failing !== null && !frees) dispatch(keepingFailed(null));
    } catch (error) {
      const why = reasonOf(error);
      if (why !== failing) dispatch(keepingFailed(why));
    }
  };
}

/** Reads what is kept; what cannot be read is as good as not there. */
export function readKept<T>(read: (kept: Kept) => Promise<T>, otherwise: T): AppThunk<Promise<T>> {
  return async (dispatch, _getState, { kept }) => {
    try {
      return await read(kept);
    } catch (error) {
      dispatch(keepingFailed(reasonOf(error)));
      return otherwise;
    }
  };
}

const reasonOf = (error: unknown): string => {
  const name = error instanceof Error ? error.name : '';
  return name === 'QuotaExceededError'
    ? 'its storage is full'
    : name === 'SecurityError' || name === 'InvalidStateError'
      ? 'it is set not to'
      : 'its storage does not answer';
};

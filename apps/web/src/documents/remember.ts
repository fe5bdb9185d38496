import type { AppThunk } from '../app/store';
import { keepBeside } from '../keeping/keep-beside';
import type { LoggedEdit } from './history';

/** Steps of the log that are remembered. */
const REMEMBERED_STEPS = 200;
/** Edits come in bursts; what is remembered follows when they rest, ms. */
const REMEMBER_AFTER_MS = 800;

/** Remembers a document as the server has it now, so that it opens while the server is away. */
export function remember(id: string, log: readonly LoggedEdit[]): AppThunk {
  return (dispatch, getState) => {
    const open = getState().documents.open[id];
    if (open === undefined) return;
    const { collection, base, revision } = open;
    const document = { id, revision, body: base, updatedAtMs: Date.now() };
    void dispatch(
      keepBeside((kept) =>
        kept.keepDocument({ id, collection, document, log: log.slice(-REMEMBERED_STEPS) }),
      ),
    );
  };
}

const soon = new Map<string, ReturnType<typeof setTimeout>>();

/** Remembers it as soon as edits rest. */
export function rememberSoon(id: string): AppThunk {
  return (dispatch, getState) => {
    clearTimeout(soon.get(id));
    soon.set(
      id,
      setTimeout(() => {
        const { undo: steps = [] } = getState().documents.open[id]?.stacks ?? {};
        dispatch(
          remember(
            id,
            steps.map((step) => ({ ...step, id: null, revision: 0 })),
          ),
        );
      }, REMEMBER_AFTER_MS),
    );
  };
}

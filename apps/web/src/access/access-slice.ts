import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What somebody may do: everything, or run glue-ups. */
export type Role = 'owner' | 'bench';

/** Who is at this screen, as the server sees it. */
export interface Session {
  /** Null until a passphrase is said. */
  readonly role: Role | null;
  /** At the machine that serves the shop. */
  readonly here: boolean;
  /** Whether any passphrase is set. */
  readonly open: boolean;
}

interface State extends Session {
  /** Edits that were not made because this device may not. */
  readonly refusals: number;
}

const STORAGE_KEY = 'lean-clasp.role';

/** As the last visit left it: with the server away, a bench stays a bench. */
export const loadAccess = (storage: Pick<Storage, 'getItem'>): State => ({
  role: keptRole(storage),
  here: true,
  open: false,
  refusals: 0,
});

function keptRole(storage: Pick<Storage, 'getItem'>): Role {
  try {
    return storage.getItem(STORAGE_KEY) === 'bench' ? 'bench' : 'owner';
  } catch {
    // Forbidden: the server says who this is.
    return 'owner';
  }
}

/** Keeps who this is for the next visit. */
export function saveAccess(storage: Pick<Storage, 'setItem'>, { role }: Session): void {
  if (role === null) return;
  try {
    storage.setItem(STORAGE_KEY, role);
  } catch {
    // Full or forbidden: the server says it again next time.
  }
}

const slice = createSlice({
  name: 'access',
  initialState: loadAccess({ getItem: () => null }),
  reducers: {
    sessionKnown: (state, { payload }: PayloadAction<Session>) => ({ ...state, ...payload }),
    mayNot: (state) => ({ ...state, refusals: state.refusals + 1 }),
  },
});

export const accessReducer = slice.reducer;
export const { sessionKnown, mayNot } = slice.actions;

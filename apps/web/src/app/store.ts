import { configureStore, nanoid, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { accessReducer, loadAccess, saveAccess } from '../access/access-slice';
import { api } from '../api/api';
import { runsReducer } from '../bench/runs-slice';
import { type Kept, keptInBrowser } from '../keeping/kept';
import { makeQueues, type Queues } from '../keeping/queues';
import { keepingReducer } from '../keeping/keeping-slice';
import { documentsReducer } from '../documents/documents-slice';
import { tourReducer } from '../tour/tour-slice';
import { loadPreferences, preferencesReducer, savePreferences } from './preferences';

/** Builds the application's store. */
export function makeStore(storage: Pick<Storage, 'getItem' | 'setItem'>, kept: Kept = keptInBrowser()) {
  // A window that was copied or loaded again gets another: no two ever write under one name.
  const window = nanoid();
  const store = configureStore({
    reducer: {
      preferences: preferencesReducer,
      access: accessReducer,
      documents: documentsReducer,
      keeping: keepingReducer,
      runs: runsReducer,
      tour: tourReducer,
      [api.reducerPath]: api.reducer,
    },
    preloadedState: { preferences: loadPreferences(storage), access: loadAccess(storage) },
    // Patches and plans are plain data; checking every one of them in development only costs time.
    middleware: (defaults) =>
      defaults({
        serializableCheck: false,
        immutableCheck: false,
        thunk: { extraArgument: { kept, window, queues: makeQueues() } satisfies Extra },
      }).concat(api.middleware),
  });
  let saved = store.getState();
  store.subscribe(() => {
    const state = store.getState();
    const { preferences, access } = saved;
    saved = state;
    if (state.preferences !== preferences) savePreferences(storage, state.preferences);
    if (state.access !== access) saveAccess(storage, state.access);
  });
  return store;
}

/** The application's store. */
export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
/** What thunks reach beside the store. */
interface Extra {
  readonly kept: Kept;
  /** This page, for as long as it is loaded; what it keeps and notes goes by it. */
  readonly window: string;
  readonly queues: Queues;
}
export type AppThunk<R = void> = ThunkAction<R, RootState, Extra, UnknownAction>;

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from '../api/api';
import { runsReducer } from '../bench/runs-slice';
import { documentsReducer } from '../documents/documents-slice';
import { loadPreferences, preferencesReducer, savePreferences } from './preferences';

/** Builds the application's store. */
export function makeStore(storage: Storage) {
  const store = configureStore({
    reducer: {
      preferences: preferencesReducer,
      documents: documentsReducer,
      runs: runsReducer,
      [api.reducerPath]: api.reducer,
    },
    preloadedState: { preferences: loadPreferences(storage) },
    // Patches and plans are plain data; checking every one of them in development only costs time.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  });
  let kept = store.getState().preferences;
  store.subscribe(() => {
    const { preferences } = store.getState();
    if (preferences === kept) return;
    kept = preferences;
    savePreferences(storage, preferences);
  });
  return store;
}

/** The application's store. */
export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppThunk<R = void> = ThunkAction<R, RootState, undefined, UnknownAction>;

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

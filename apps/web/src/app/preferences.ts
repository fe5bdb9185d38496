import type { UnitSystem } from '@lean-clasp/core/units';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How this person at this screen likes to see things; kept in the browser, not in the shop. */
export interface Preferences {
  readonly units: UnitSystem;
  readonly theme: 'day' | 'lamp';
  readonly sound: boolean;
  readonly speech: boolean;
  /** Whether the way round was shown here, or left. */
  readonly shownRound: boolean;
}

const STORAGE_KEY = 'lean-clasp.preferences';

const DEFAULTS: Preferences = { units: 'metric', theme: 'day', sound: true, speech: true, shownRound: false };

/** Reads the kept preferences; anything unreadable falls back to the defaults. */
export function loadPreferences(storage: Pick<Storage, 'getItem'>): Preferences {
  try {
    const kept = JSON.parse(storage.getItem(STORAGE_KEY) ?? '{}') as Partial<Preferences>;
    return {
      units: kept.units === 'imperial' ? 'imperial' : DEFAULTS.units,
      theme: kept.theme === 'lamp' ? 'lamp' : DEFAULTS.theme,
      sound: kept.sound ?? DEFAULTS.sound,
      speech: kept.speech ?? DEFAULTS.speech,
      shownRound: kept.shownRound ?? DEFAULTS.shownRound,
    };
  } catch {
    return DEFAULTS;
  }
}

/** Keeps preferences for the next visit. */
export function savePreferences(storage: Pick<Storage, 'setItem'>, preferences: Preferences): void {
  try {
    storage.setItem(STORAGE_KEY, JSON.stringify(preferences));
  } catch {
    // Full or forbidden: they hold until the page is left, which is better than stopping it.
  }
}

const slice = createSlice({
  name: 'preferences',
  initialState: DEFAULTS,
  reducers: {
    preferred: (state, { payload }: PayloadAction<Partial<Preferences>>) => ({ ...state, ...payload }),
  },
});

export const preferencesReducer = slice.reducer;
export const { preferred } = slice.actions;

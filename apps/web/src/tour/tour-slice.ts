import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Where the way round stands: which stop, and the build that it is shown by; null while nobody is shown round. */
export type Tour = { readonly stop: number; readonly build: string } | null;

const slice = createSlice({
  name: 'tour',
  initialState: null as Tour,
  reducers: {
    tourMoved: (_, { payload }: PayloadAction<Tour>) => payload,
  },
});

export const tourReducer = slice.reducer;
export const { tourMoved } = slice.actions;

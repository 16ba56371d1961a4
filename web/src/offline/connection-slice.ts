import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Connection {
  /** Since when the shown answers are the device's own copies; nothing while the server answers. */
  readonly keptSince: string | null;
}

const initialState: Connection = { keptSince: null };

const slice = createSlice({
  name: 'connection',
  initialState,
  reducers: {
    /** An answer came: from the server itself, or, with its moment, from what the device kept. */
    answered: (_state, { payload }: PayloadAction<string | null>): Connection => ({ keptSince: payload }),
  },
});

export const { answered } = slice.actions;
export const connectionReducer = slice.reducer;

import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ReaderUnits } from '@wainrope/core';

export type Theme = 'light' | 'dark';

export interface Settings {
  readonly units: ReaderUnits;
  readonly theme: Theme;
}

const KEY = 'wainrope.settings';
const UNITS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];

function preferred(): Settings {
  const theme = window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>;
    return {
      units: UNITS.find((unit) => unit === kept.units) ?? 'kN',
      theme: kept.theme === 'dark' || kept.theme === 'light' ? kept.theme : theme,
    };
  } catch {
    // What is stored there is not ours or was cut short: begin with what the device prefers.
    return { units: 'kN', theme };
  }
}

const slice = createSlice({
  name: 'settings',
  initialState: preferred,
  reducers: {
    unitsChosen: (state, { payload }: PayloadAction<ReaderUnits>) => ({ ...state, units: payload }),
    themeChosen: (state, { payload }: PayloadAction<Theme>) => ({ ...state, theme: payload }),
  },
});

export const { unitsChosen, themeChosen } = slice.actions;
export const settingsReducer = slice.reducer;

/** Keeps the settings on this device. */
export function keepSettings(settings: Settings): void {
  localStorage.setItem(KEY, JSON.stringify(settings));
}

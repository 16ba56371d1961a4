import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ReaderUnits } from '@wainrope/core';

export type Theme = 'light' | 'dark';

/** What a person measures distances on the ground by. */
export const groundMeasures = ['paces', 'metres', 'feet'] as const;
export type GroundMeasure = (typeof groundMeasures)[number];

export interface Settings {
  readonly units: ReaderUnits;
  readonly theme: Theme;
  /** Undefined until one is chosen: then what goes with the unit of forces. */
  readonly measure: GroundMeasure | undefined;
  /** The person's own pace, metres. */
  readonly paceM: number;
}

/** A usual pace over rough ground, and what may be one, metres. */
const USUAL_PACE_M = 0.75;
export const PACE_M = { least: 0.4, most: 1.2 };

const KEY = 'wainrope.settings';
const UNITS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];

const isPace = (metres: unknown): metres is number => typeof metres === 'number' && metres >= PACE_M.least && metres <= PACE_M.most;

function preferred(): Settings {
  const theme = window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>;
    return {
      units: UNITS.find((unit) => unit === kept.units) ?? 'kN',
      theme: kept.theme === 'dark' || kept.theme === 'light' ? kept.theme : theme,
      measure: groundMeasures.find((measure) => measure === kept.measure),
      paceM: isPace(kept.paceM) ? kept.paceM : USUAL_PACE_M,
    };
  } catch {
    // What is stored there is not ours or was cut short: begin with what the device prefers.
    return { units: 'kN', theme, measure: undefined, paceM: USUAL_PACE_M };
  }
}

const slice = createSlice({
  name: 'settings',
  initialState: preferred,
  reducers: {
    unitsChosen: (state, { payload }: PayloadAction<ReaderUnits>) => ({ ...state, units: payload }),
    themeChosen: (state, { payload }: PayloadAction<Theme>) => ({ ...state, theme: payload }),
    measureChosen: (state, { payload }: PayloadAction<GroundMeasure>) => ({ ...state, measure: payload }),
    paceSaid: (state, { payload }: PayloadAction<number>) => (isPace(payload) ? { ...state, paceM: payload } : state),
  },
});

export const { unitsChosen, themeChosen, measureChosen, paceSaid } = slice.actions;
export const settingsReducer = slice.reducer;

/** Keeps the settings on this device. */
export function keepSettings(settings: Settings): void {
  localStorage.setItem(KEY, JSON.stringify(settings));
}

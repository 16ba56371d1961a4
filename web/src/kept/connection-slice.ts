import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Connection {
  /** `gone`: the last question got no answer. */
  readonly signal: 'there' | 'gone';
  /** Of which moment what is shown is, by question, where it is the device's own copy. */
  readonly kept: { readonly [question: string]: string };
  /** How often the server told of a change: what the device keeps is read anew after one. */
  readonly changes: number;
  /** When all that the pages show was read last, ISO. */
  readonly takenAlong: string | null;
  /** Whether the PDF maker, which the first load leaves out, is on this device. */
  readonly hasPdfMaker: boolean;
}

const initialState: Connection = { signal: 'there', kept: {}, changes: 0, takenAlong: null, hasPdfMaker: false };

const slice = createSlice({
  name: 'connection',
  initialState,
  reducers: {
    /** The server answered a question. */
    heard: (state, { payload }: PayloadAction<string | undefined>): Connection => {
      if (payload === undefined || !(payload in state.kept)) return state.signal === 'there' ? state : { ...state, signal: 'there' };
      const { [payload]: _fresh, ...kept } = state.kept;
      return { ...state, signal: 'there', kept };
    },
    /** Nobody answered. */
    unheard: (state): Connection => (state.signal === 'gone' ? state : { ...state, signal: 'gone' }),
    /** In place of the server the device answered, with what it read then. */
    keptShown: (state, { payload: { question, at } }: PayloadAction<{ readonly question: string; readonly at: string }>): Connection => ({
      ...state,
      signal: 'gone',
      kept: { ...state.kept, [question]: at },
    }),
    changedElsewhere: (state): Connection => ({ ...state, changes: state.changes + 1 }),
    tookAlong: (state, { payload }: PayloadAction<string>): Connection => ({ ...state, takenAlong: payload }),
    gotPdfMaker: (state): Connection => ({ ...state, hasPdfMaker: true }),
  },
});

export const { heard, unheard, keptShown, changedElsewhere, tookAlong, gotPdfMaker } = slice.actions;
export const connectionReducer = slice.reducer;

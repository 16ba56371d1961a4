import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyEdit, type Body, type Edit, type Feature, type Rig, routeFault } from '@wainrope/core';
import type { HeldAhead } from './held-ahead.ts';

/** One step back: edits to apply, last first, and what merges into it. */
interface Step {
  readonly edits: readonly Edit[];
  readonly merge?: string;
}

export interface PlannerState {
  readonly planId: string | undefined;
  readonly version: number;
  readonly name: string;
  readonly rig: Rig | undefined;
  readonly dirty: boolean;
  /** Why nothing can be changed here: a reader's sign-in, or another tab that works on this plan. */
  readonly locked: 'reader' | 'other-tab' | undefined;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** The body that follows the pointer at this moment, ahead of the rig; what stands round the sheet may lag behind. */
  readonly held: Body | undefined;
  /** The place whose working-out is shown; undefined: the weakest. */
  readonly selectedPlaceId: string | undefined;
  /** The body whose numbers are shown and that keys act on. */
  readonly selectedBodyId: string | undefined;
  readonly tool: Tool;
  /** The line that is being run, stop by stop. */
  readonly route: RouteDraft | undefined;
  /** Why the line was not led to what was touched last. */
  readonly refused: string | undefined;
}

/** What a touch on the sheet does. */
export type Tool =
  | { readonly kind: 'move' }
  | { readonly kind: 'line' }
  | { readonly kind: 'measure' }
  | { readonly kind: 'add'; readonly body: Body['kind'] }
  | { readonly kind: 'feature'; readonly feature: Feature['kind'] };

export interface RouteDraft {
  readonly fromBodyId: string;
  /** Bodies the line has been led to; the last one may become its end. */
  readonly bodyIds: readonly string[];
}

const closed: PlannerState = {
  planId: undefined,
  version: 0,
  name: '',
  rig: undefined,
  dirty: false,
  locked: undefined,
  past: [],
  future: [],
  held: undefined,
  selectedPlaceId: undefined,
  selectedBodyId: undefined,
  tool: { kind: 'move' },
  route: undefined,
  refused: undefined,
};

interface Applied {
  readonly rig: Rig;
  readonly inverse: readonly Edit[];
}

function applyAll(rig: Rig, edits: readonly Edit[]): Applied {
  return edits.reduce<Applied>(
    (state, edit) => {
      const { rig: next, inverse } = applyEdit(state.rig, edit);
      return { rig: next, inverse: [inverse, ...state.inverse] };
    },
    { rig, inverse: [] },
  );
}

interface Opened {
  readonly planId: string;
  readonly version: number;
  readonly name: string;
  readonly rig: Rig;
  readonly dirty?: boolean;
}

const slice = createSlice({
  name: 'planner',
  initialState: closed,
  reducers: {
    planOpened: (state, { payload }: PayloadAction<Opened>): PlannerState => ({
      ...closed,
      locked: (state as PlannerState).locked,
      ...payload,
      dirty: payload.dirty ?? false,
    }),
    lockChanged: (state, { payload }: PayloadAction<PlannerState['locked']>): PlannerState => ({
      ...(state as PlannerState),
      locked: payload,
    }),
    /** Changes of one `merge` name in a row (a drag) undo as one. */
    edited: (
      state,
      { payload: { edits, merge } }: PayloadAction<{ readonly edits: readonly Edit[]; readonly merge?: string }>,
    ): PlannerState => {
      return withEdits(state as PlannerState, edits, merge);
    },
    bodyHeld: (state, { payload }: PayloadAction<Body>): PlannerState => ({ ...(state as PlannerState), held: payload }),
    /** Takes the heading of the body that is held into the rig, and its place: where the pointer has it by now, if that is ahead. */
    heldTakenOver: (state, { payload }: PayloadAction<HeldAhead | undefined>): PlannerState => {
      const now = state as PlannerState;
      const isAhead = now.held !== undefined && payload?.id === now.held.id;
      return withHeld(isAhead ? { ...now, held: { ...now.held, xM: payload.xM, yM: payload.yM } } : now);
    },
    /** Ends a drag: the next one is a step of its own. */
    dragEnded: (state): PlannerState => {
      const now = withHeld(state as PlannerState);
      const last = now.past.at(-1);
      if (last?.merge === undefined) return now.held ? { ...now, held: undefined } : now;
      return { ...now, held: undefined, past: [...now.past.slice(0, -1), { edits: last.edits }] };
    },
    undone: (state): PlannerState => stepped(state as PlannerState, 'past', 'future'),
    redone: (state): PlannerState => stepped(state as PlannerState, 'future', 'past'),
    renamed: (state, { payload }: PayloadAction<string>): PlannerState => ({ ...(state as PlannerState), name: payload, dirty: true }),
    saved: (state, { payload }: PayloadAction<{ readonly version: number }>): PlannerState => ({
      ...(state as PlannerState),
      version: payload.version,
      dirty: false,
    }),
    /** Keeps this device's work, on top of what somebody else saved. */
    rebased: (state, { payload }: PayloadAction<{ readonly version: number }>): PlannerState => ({
      ...(state as PlannerState),
      version: payload.version,
      dirty: true,
    }),
    bodySelected: (state, { payload }: PayloadAction<string | undefined>): PlannerState => ({
      ...(state as PlannerState),
      selectedBodyId: payload,
    }),
    toolChosen: (state, { payload }: PayloadAction<Tool>): PlannerState => ({
      ...(state as PlannerState),
      tool: payload,
      route: undefined,
      refused: undefined,
    }),
    /** Leads the line to a body: the first one drives it. The same body twice in a row counts once. */
    routed: (state, { payload }: PayloadAction<string>): PlannerState => {
      const now = state as PlannerState;
      const body = now.rig?.bodies.find(({ id }) => id === payload);
      if (!body || now.locked) return now;
      const refused = routeFault(body, now.route ? 'stop' : 'drive');
      if (refused) return { ...now, tool: { kind: 'line' }, refused };
      const next: PlannerState = { ...now, tool: { kind: 'line' }, refused: undefined };
      if (!now.route) return { ...next, route: { fromBodyId: payload, bodyIds: [] } };
      if (now.route.bodyIds.at(-1) === payload) return next;
      return { ...next, route: { ...now.route, bodyIds: [...now.route.bodyIds, payload] } };
    },
    routeTakenBack: (state): PlannerState => {
      const now = state as PlannerState;
      if (!now.route) return now;
      const bodyIds = now.route.bodyIds.slice(0, -1);
      return { ...now, route: now.route.bodyIds.length === 0 ? undefined : { ...now.route, bodyIds } };
    },
    routeEnded: (state): PlannerState => ({
      ...(state as PlannerState),
      route: undefined,
      refused: undefined,
      tool: { kind: 'move' },
    }),
    placeSelected: (state, { payload }: PayloadAction<string | undefined>): PlannerState => ({
      ...(state as PlannerState),
      selectedPlaceId: payload,
    }),
  },
});

function withEdits(now: PlannerState, edits: readonly Edit[], merge?: string): PlannerState {
  if (!now.rig || now.locked || edits.length === 0) return now;
  const { rig, inverse } = applyAll(now.rig, edits);
  const last = now.past.at(-1);
  const joins = merge !== undefined && last?.merge === merge;
  const step: Step = { edits: joins ? [...inverse, ...last.edits] : inverse, ...(merge !== undefined && { merge }) };
  return { ...now, rig, dirty: true, past: [...(joins ? now.past.slice(0, -1) : now.past), step], future: [] };
}

function withHeld(now: PlannerState): PlannerState {
  const { held } = now;
  const stands = now.rig?.bodies.find(({ id }) => id === held?.id);
  if (!held || !stands) return now;
  const turned = 'headingRad' in held && 'headingRad' in stands && held.headingRad !== stands.headingRad;
  const moved = held.xM !== stands.xM || held.yM !== stands.yM;
  const edits: readonly Edit[] = [
    ...(turned ? [{ kind: 'change-body', body: { ...stands, headingRad: held.headingRad } } as const] : []),
    ...(moved ? [{ kind: 'move-body', bodyId: held.id, xM: held.xM, yM: held.yM } as const] : []),
  ];
  return withEdits(now, edits, `drag-${held.id}`);
}

function stepped(state: PlannerState, from: 'past' | 'future', to: 'past' | 'future'): PlannerState {
  const step = state[from].at(-1);
  if (!step || !state.rig || state.locked) return state;
  const { rig, inverse } = applyAll(state.rig, step.edits);
  return { ...state, rig, dirty: true, [from]: state[from].slice(0, -1), [to]: [...state[to], { edits: inverse }] };
}

export const {
  planOpened,
  lockChanged,
  edited,
  bodyHeld,
  heldTakenOver,
  dragEnded,
  undone,
  redone,
  renamed,
  saved,
  rebased,
  placeSelected,
  bodySelected,
  toolChosen,
  routed,
  routeTakenBack,
  routeEnded,
} = slice.actions;
export const plannerReducer = slice.reducer;

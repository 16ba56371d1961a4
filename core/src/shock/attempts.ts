import type { Moment } from '../moment/moment.ts';
import type { Place } from '../resolved/place.ts';
import type { RunUpSetup } from './run-up-setup.ts';

/** One attempt: its speed, the run-up and slack for it, and what it does to the rig. */
export interface Attempt {
  /** Its speed ÷ that of the fastest attempt. */
  readonly share: number;
  readonly speedMPerS: number;
  /** Slack laid back, which is the length of the run-up too; metres. */
  readonly slackM: number;
  /** Peak tension as planned, and with a quarter more speed and all the grip there is; newtons. */
  readonly peakN: number;
  readonly greatestN: number;
  readonly peakS: number;
  readonly freed: boolean;
  readonly movedM: number;
  /** The worst place by share of its working limit, and by breaking ratio. */
  readonly utilisation: number | undefined;
  readonly highest: Place | undefined;
  readonly breaking: number | undefined;
  readonly weakest: Place | undefined;
  /** A piece that the peak as planned would break, and after how long it would. */
  readonly breaks: { readonly place: Place; readonly atS: number } | undefined;
  readonly verdict: 'clear' | 'watch' | 'stop';
}

export interface RunUpPlan {
  readonly setup: RunUpSetup;
  /** Whether somebody chose the speed; else the proposal is judged. */
  readonly chosen: boolean;
  /** The greatest speed that keeps every piece in order and that the slack can give, m/s; undefined where there is none. */
  readonly proposedMPerS: number | undefined;
  /** What bounds it: a limit, the greatest check, the rope there is to lay back; or that nothing in the line is made to stretch. */
  readonly boundBy: 'limit' | 'breaking' | 'slack' | 'no-speed' | 'static';
  /** Rising; the last is the fastest. */
  readonly attempts: readonly Attempt[];
  /** The step beyond the fastest, that is not to be made. */
  readonly beyond: Attempt;
  /** Slack that a person laid out for the chosen speed, metres, and what that speed asks for. */
  readonly slackM: number;
  readonly neededSlackM: number;
  readonly mostSlackM: number;
  readonly accelerationMPerS2: number;
}

/** A run-up that is reckoned with the moment in which it loads the rig most; or what is missing to reckon it. */
export type RunUpOutcome =
  | { readonly kind: 'planned'; readonly plan: RunUpPlan; readonly peak: Moment }
  | { readonly kind: 'unknown'; readonly missing: readonly string[] };

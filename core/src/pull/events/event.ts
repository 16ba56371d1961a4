import type { Moment } from '../../moment/moment.ts';
import type { RichText } from '../../quantity/format.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';

/** What happens on the way that no rule speaks of. */
export const eventKinds = ['layer-change', 'sharp-pulley', 'corner', 'grip-moved', 'rest', 'upright'] as const;
export type EventKind = (typeof eventKinds)[number];

/** Plain numbers and names that an event's words are made from. */
export interface EventData {
  readonly name?: string | undefined;
  readonly layer?: number | undefined;
  readonly count?: number | undefined;
  readonly angleRad?: number | undefined;
  readonly seconds?: number | undefined;
  readonly hot?: boolean | undefined;
}

/** Something that happens at one metre of the travel. */
export interface PullEvent {
  readonly kind: EventKind;
  readonly atM: number;
  /** The use, chain or body that it is about, by id; missing where it is the whole rig. */
  readonly about?: string | undefined;
  readonly data: EventData;
}

/** A state that is watched: where it differs between two moments, the place between them is looked for. */
export interface Watch {
  readonly count: number;
  readonly state: (moment: Moment, index: number) => number;
  /** What is told of a change; nothing where a change that way is no event. */
  readonly tell: (from: Moment, to: Moment, index: number) => PullEvent | undefined;
}

export interface EventRow {
  readonly kind: EventKind;
  readonly watch?: (rig: ResolvedRig) => Watch;
  readonly words: (data: EventData) => RichText;
}

import type { Edit } from '../../rig/edits.ts';

export const severities = ['stop', 'fix', 'caution', 'note'] as const;
export type Severity = (typeof severities)[number];

/** What a finding is about, by stable id. */
export interface Subject {
  readonly kind: 'use' | 'body' | 'point' | 'strand' | 'rig';
  readonly id: string;
}

/** What a person can do about it with one button. */
export type Fix =
  | { readonly kind: 'edits'; readonly label: string; readonly edits: readonly Edit[] }
  /** Choose another piece for this place; the picker knows the register. */
  | { readonly kind: 'choose-piece'; readonly label: string; readonly useId: string }
  | { readonly kind: 'add-damper'; readonly label: string; readonly lineId: string; readonly strand: number }
  /** Fill in what is missing on the piece's own page. */
  | { readonly kind: 'open-piece'; readonly label: string; readonly gearId: string };

/** Plain data that a report carries and words are made from. */
export type Data = { readonly [key: string]: string | number | boolean | undefined | readonly string[] | readonly Data[] };

/** Which thing a rule speaks of, and where on it, where it may speak of several places of one thing. */
export interface About {
  readonly subject: Subject;
  readonly place?: string | undefined;
}

/** What a rule answers about one subject; nothing where the fault is not there. */
export type Reply<D extends Data> =
  /** `subject` where it shows only with the answer. */
  | { readonly kind: 'found'; readonly data: D; readonly fixes?: readonly Fix[]; readonly subject?: Subject }
  | {
      readonly kind: 'undecided';
      readonly data: D;
      /** Set when a yes or no settles it; stored in the rig's answers under this id. */
      readonly questionId?: string;
      readonly fixes?: readonly Fix[];
    };

/** A reply with what it is about. */
export interface Told extends About {
  readonly kind: 'found' | 'undecided';
  readonly place: string | undefined;
  readonly data: Data;
  readonly questionId: string | undefined;
  readonly fixes: readonly Fix[];
  /** Metres of travel from which it is so, and where it is worst; rules of the moment only. */
  readonly fromM?: number | undefined;
  readonly atM?: number | undefined;
}

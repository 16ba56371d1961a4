import type { Body } from '../rig/rig.ts';
import type { LeftLoaded } from './left.ts';
import type { Flight } from './what-leaves.ts';

/** What is to let go: the place of a piece, a winch for its brake, or the line that hands pull on; when, and at which pull. */
export interface LetGoAsked {
  readonly subjectId: string;
  readonly travelM: number;
  readonly check: 'planned' | 'greatest';
}

/** A lanyard on what would fly: what it has to take up and what it breaks at, newtons; undefined where that is not known. */
export interface Caught {
  readonly tag: string;
  readonly useId: string;
  readonly arrestN: number | undefined;
  readonly breaksN: number | undefined;
  readonly holds: boolean | undefined;
}

/** A part that leaves. */
export interface Leaving extends Flight {
  readonly pieces: readonly { readonly useId: string; readonly tag: string; readonly name: string; readonly isHard: boolean }[];
  readonly caughtBy: readonly Caught[];
}

/** Somebody or something where it must not be. */
export interface InTheWay {
  readonly bodyId: string;
  readonly label: string;
  readonly what: Body['kind'];
  readonly sheltered: boolean;
  /** A part flies there, the line may whip there, or something rolls there. */
  readonly why: 'flies' | 'zone' | 'runs';
  readonly farM: number;
}

/** What rolls off by itself, and by how much, newtons. */
export interface Running {
  readonly bodyId: string;
  readonly label: string;
  readonly byN: number;
}

/** What happens if one thing lets go in one moment. */
export interface LetGo {
  readonly subjectId: string;
  readonly manner: 'piece' | 'rope' | 'brake' | 'hands' | 'back-anchor';
  readonly atM: number;
  readonly check: LetGoAsked['check'];
  /** What it carries as it lets go, newtons. */
  readonly tensionN: number | undefined;
  /** Energy of the lines that go slack, joules, and their stretch, metres; missing where a rope is not known well enough. */
  readonly energyJ?: number;
  readonly stretchM?: number;
  readonly lines: readonly string[];
  readonly leaves: readonly Leaving[];
  /** Strands that whip without a damper. */
  readonly undamped: readonly { readonly lineId: string; readonly strand: number }[];
  readonly inTheWay: readonly InTheWay[];
  readonly left: LeftLoaded | undefined;
  readonly runs: readonly Running[];
  /** The load is being set upright or drawn up a deck: it falls or rolls back, and how hard is not reckoned. */
  readonly fallsBack: boolean;
  /** Legs shorter than this need no damper, metres. */
  readonly exemptM: number;
  /** Other lines that go on pulling. */
  readonly stillPulling: number;
  /** Grips that hold the line all the same. */
  readonly heldBy: readonly string[];
}

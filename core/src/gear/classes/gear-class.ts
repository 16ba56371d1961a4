import type { AttributesOf, FieldTable, LengthKey } from './fields.ts';
import type { PulleyKind, RopeLawKind } from './materials.ts';
import type { Role } from './roles.ts';

/** Which row of the design-factor table a class takes in its usual use. `none`: carries no load. */
export type DesignUse =
  | 'steel-hardware'
  | 'snatch-block'
  | 'ring-carabiner-plate'
  | 'soft-good'
  | 'winch-line-synthetic'
  | 'winch-line-steel'
  | 'stretch'
  | 'chain'
  | 'anchor'
  | 'winch'
  | 'none';

/** What of a piece goes into its neighbour. `K`: keys of its lengths. */
export type Enters<K extends string> =
  /** Its pin through a hole, its bow into a throat, its inside over a lug. */
  | { readonly kind: 'shackle'; readonly pin: K; readonly bow: K; readonly inside: K }
  /** Its rope, as two strands. */
  | { readonly kind: 'soft-shackle'; readonly rope: K }
  | { readonly kind: 'bar'; readonly bar: K };

/** What a piece takes its neighbour in. */
export type Opening<K extends string> =
  /** A hole, and the thickness of the lug around it where that goes between a shackle's ears. */
  { readonly kind: 'bore'; readonly bore: K; readonly lug: K | 'none' } | { readonly kind: 'throat'; readonly throat: K };

/** One of a closed list, by what is on record of the piece. */
export interface ByRecord<A, V> {
  by(attributes: A): V;
}

/** How a rope runs over a piece. */
export interface RunsOver<K extends string, A> {
  readonly kind: PulleyKind | ByRecord<A, PulleyKind>;
  readonly tread: K;
  readonly groove: K | 'none';
}

/** What is known of a class; `K` keys of its lengths, `A` its attributes. None of it can be left out: `none` is a decision. */
export interface ClassTraits<K extends string, A> {
  readonly label: string;
  readonly plural: string;
  /** Two or three letters that begin the team's tag codes of this class. */
  readonly prefix: string;
  readonly use: DesignUse;
  /** Fibre that ages, cuts and is inspected as a soft good. */
  readonly soft: boolean;
  /** The length it adds to the way when it hangs in line. */
  readonly inLine: K | 'nothing';
  /** A rope with a made-up end that runs over pulleys. */
  readonly line: 'wire' | 'fibre' | 'none';
  /** Webbing that is laid flat round things and over pins. */
  readonly webbing: boolean;
  /** The law by which it stretches. */
  readonly stretch: RopeLawKind | 'rigid' | ByRecord<A, RopeLawKind>;
  /** What a rope's eye sits on. */
  readonly pin: K | 'none';
  readonly enters: Enters<K> | 'nothing';
  readonly opening: Opening<K> | 'none';
  readonly pulley: RunsOver<K, A> | 'none';
  /** Roles of a rig in which it may serve, with how soon it is offered there: the smaller the sooner. */
  readonly servesAs: { readonly [R in Role]?: number };
  /** Who speaks against it where it may not serve: the rule for all classes, or a rule of its own. */
  readonly refusedBy: 'its-role' | 'a-rule-of-its-own';
  /** What becomes of it when a line parts. `as-rope`: its mass where it is on record, else it weighs little beside metal. */
  readonly flies: 'with-its-mass' | 'as-rope' | 'bolted-on';
  /** It hangs on a line to damp it. */
  readonly damps: boolean;
  /** What is noted of it after each use, for the next. */
  readonly carriesOn: 'spool' | 'pulls' | 'nothing';
  /** Which way round it goes, on the field card; empty where there is nothing to say. */
  readonly laid: string;
  /** Why its page shows no working load limit, where that wants saying. */
  readonly withoutLimit: string;
}

export interface GearClassRow<F extends FieldTable> extends ClassTraits<LengthKey<F>, AttributesOf<F>> {
  readonly fields: F;
}

/** One class; keys in its traits are its own fields, so that a trait that names another does not compile. */
export const gearClass = <const F extends FieldTable>(row: GearClassRow<F>): GearClassRow<F> => row;

/** What is carried along and never in a line; classes that go into lines decide each trait for themselves. */
export const notInLine = {
  inLine: 'nothing',
  line: 'none',
  webbing: false,
  stretch: 'rigid',
  pin: 'none',
  enters: 'nothing',
  opening: 'none',
  pulley: 'none',
  servesAs: {},
  refusedBy: 'its-role',
  flies: 'with-its-mass',
  damps: false,
  carriesOn: 'nothing',
  laid: '',
  withoutLimit: '',
} as const;

import type { ClassTraits } from './classes/gear-class.ts';
import { type GearClass, gearClasses } from './classes/gear-classes.ts';
import type { PulleyKind, RopeLawKind } from './classes/materials.ts';
import { swings } from './classes/materials.ts';
import type { Role } from './classes/roles.ts';
import type { GearFacts, GearOf } from './gear-facts.ts';

/** What is on record of a piece of any class. */
interface OnRecord {
  readonly [key: string]: unknown;
}
export type Traits = ClassTraits<string, OnRecord>;

/** The traits of any class, its lengths named by plain keys. */
const traits: { readonly [K in GearClass]: Traits } = gearClasses;

/** What is known of a piece's class. */
export const traitsOf = ({ kind }: { readonly kind: GearClass }): Traits => traits[kind];

/** A number on record of a piece, by the key of its attribute; undefined where there is none. */
export function numberAt({ attributes }: GearFacts, key: string): number | undefined {
  const all: OnRecord = attributes;
  const value = all[key];
  return typeof value === 'number' ? value : undefined;
}

/** A piece whose class is one of a few. */
export const isClass = <K extends GearClass>(piece: GearFacts | undefined, ...kinds: readonly K[]): piece is GearOf<K> =>
  piece !== undefined && kinds.some((kind) => kind === piece.kind);

/** Length of a rope, strap or chain, metres; undefined where the class has none or it is not on record. */
export const lengthOf = (piece: GearFacts): number | undefined => numberAt(piece, 'lengthM');
export const ropeDiameterOf = (piece: GearFacts): number | undefined => numberAt(piece, 'ropeDiameterM');

/** The length a piece adds to a chain when it hangs in line, metres; undefined where it is not known. */
export function inLineLengthM(piece: GearFacts): number | undefined {
  const { inLine } = traitsOf(piece);
  return inLine === 'nothing' ? 0 : numberAt(piece, inLine);
}

/**
 * The length of a piece that is joined into a line, metres: of a rope or a strap, undefined where it is not on record; of a connector
 * between two of them, nothing where it is not, since it hardly counts.
 */
export function joinedLengthM(piece: GearFacts): number | undefined {
  const { inLine, line } = traitsOf(piece);
  return line !== 'none' || inLine === 'lengthM' ? lengthOf(piece) : (inLineLengthM(piece) ?? 0);
}

/** A rope with a made-up end that runs over pulleys. */
export type RunningRope = GearOf<'winch-line-synthetic' | 'winch-line-steel' | 'line-extension'>;
export const isRope = (piece: GearFacts | undefined): piece is RunningRope => piece !== undefined && traitsOf(piece).line !== 'none';
export const isWire = (piece: GearFacts | undefined): boolean => piece !== undefined && traitsOf(piece).line === 'wire';

/** Webbing that is laid flat round things and over pins. */
export const isStrap = (piece: GearFacts | undefined): piece is GearFacts => piece !== undefined && traitsOf(piece).webbing;

export const isWinch = (piece: GearFacts | undefined): piece is GearOf<'winch'> => isClass(piece, 'winch');
export const isRecoveryPoint = (piece: GearFacts | undefined): piece is GearOf<'recovery-point'> => isClass(piece, 'recovery-point');

/** A lanyard, which catches what flies. */
export const isLanyard = (piece: GearFacts | undefined): boolean => isClass(piece, 'safety-lanyard');
/** A ratchet strap that holds a load down on a deck. */
export const isSecuringStrap = (piece: GearFacts | undefined): boolean => isClass(piece, 'load-securing-strap');
/** A tool that lifts on the spot, of which the rules of a rig speak. */
export const liftsOnTheSpot = (piece: GearFacts | undefined): boolean => isClass(piece, 'lifting-jack');
/** A connector that is weaker across its gate. */
export const hasAxes = (piece: GearFacts | undefined): boolean => isClass(piece, 'carabiner');

/** Diameter of what an eye sits on, metres; undefined where the class has no pin or its size is not on record. */
export function pinOf(piece: GearFacts | undefined): number | undefined {
  if (piece === undefined) return undefined;
  const { pin } = traitsOf(piece);
  return pin === 'none' ? undefined : numberAt(piece, pin);
}

/** How a rope runs over a piece; undefined where none may. Diameters and widths in metres, undefined where not on record. */
export interface PulleySizes {
  readonly kind: PulleyKind;
  readonly treadDiameterM: number | undefined;
  /** It has sides that keep a rope in. */
  readonly grooved: boolean;
  readonly grooveWidthM: number | undefined;
}

export function pulleyOf(piece: GearFacts | undefined): PulleySizes | undefined {
  if (piece === undefined) return undefined;
  const { pulley } = traitsOf(piece);
  if (pulley === 'none') return undefined;
  return {
    kind: typeof pulley.kind === 'string' ? pulley.kind : pulley.kind.by(piece.attributes),
    treadDiameterM: numberAt(piece, pulley.tread),
    grooved: pulley.groove !== 'none',
    grooveWidthM: pulley.groove === 'none' ? undefined : numberAt(piece, pulley.groove),
  };
}

export const isPulley = (piece: GearFacts | undefined): boolean => piece !== undefined && traitsOf(piece).pulley !== 'none';

/** The law by which a rope, strap or chain stretches; undefined for what does not stretch to speak of. */
export function ropeLawOf(piece: GearFacts): RopeLawKind | undefined {
  const { stretch } = traitsOf(piece);
  if (stretch === 'rigid') return undefined;
  return typeof stretch === 'string' ? stretch : stretch.by(piece.attributes);
}

/** Whether a piece may serve in a role of a rig. */
export const servesAs = (piece: { readonly kind: GearClass }, role: Role): boolean => traitsOf(piece).servesAs[role] !== undefined;

/** How soon a class is offered in a role: the smaller the sooner; undefined where it may not serve. */
export const offeredAs = (piece: { readonly kind: GearClass }, role: Role): number | undefined => traitsOf(piece).servesAs[role];

/** Which way a point lets a shackle swing; undefined where its class has no such field or nobody says. */
export function swingOf(piece: GearFacts | undefined): (typeof swings)[number] | undefined {
  const all: OnRecord = piece?.attributes ?? {};
  return swings.find((swing) => swing === all.swing);
}

/** Mass of a piece that may fly, kg; soft pieces without a mass on record weigh little beside metal and count as nothing. */
export function flyingMassKg(piece: GearFacts): number | undefined {
  const massKg = numberAt(piece, 'massKg');
  return massKg ?? (traitsOf(piece).flies === 'with-its-mass' ? undefined : 0);
}

/** Where a line itself says to stop paying out: at its end mark or its change of colour, whichever comes first. Metres from the hook. */
export function stopMarkM({ attributes }: GearFacts): number | undefined {
  const endMarkM = 'endMarkM' in attributes ? attributes.endMarkM : undefined;
  const colourChangeM = 'colourChangeM' in attributes ? attributes.colourChangeM : undefined;
  return endMarkM === undefined || colourChangeM === undefined ? (endMarkM ?? colourChangeM) : Math.min(endMarkM, colourChangeM);
}

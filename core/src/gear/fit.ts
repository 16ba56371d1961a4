import { exceeds } from '../quantity/tolerance.ts';
import type { GearFacts } from './gear-facts.ts';
import { lengthOf, numberAt, pulleyOf, ropeDiameterOf, traitsOf } from './traits.ts';

export const fitKinds = [
  'pin-in-hole',
  'bow-in-throat',
  'soft-shackle-through-bore',
  'rope-in-groove',
  'strap-round-trunk',
  'fitting-in-opening',
] as const;
export type FitKind = (typeof fitKinds)[number];

/** Whether what goes in is smaller than what it goes into; exactly as large passes. */
export interface Fit {
  readonly kind: FitKind;
  /** Size of what goes in and of the opening, metres; undefined where not on record. */
  readonly sizeM: number | undefined;
  readonly openingM: number | undefined;
  readonly fits: boolean | undefined;
}

const fit = (kind: FitKind, sizeM: number | undefined, openingM: number | undefined): Fit => ({
  kind,
  sizeM,
  openingM,
  fits: sizeM === undefined || openingM === undefined ? undefined : !exceeds(sizeM, openingM),
});

/** How two pieces meet; `enters` is the one that goes in, the first of the two or the second. */
export interface PairFit extends Fit {
  readonly enters: 'first' | 'second';
}

/** Every way in which two neighbours of a chain go into each other. */
export function pairFits(first: GearFacts, second: GearFacts): readonly PairFit[] {
  return [...intoNeighbour(first, second, 'first'), ...intoNeighbour(second, first, 'second')];
}

/** Whether two pieces that meet in a chain go into each other, as far as their sizes are on record: unknown sizes speak against nothing. */
export function goTogether(a: GearFacts, b: GearFacts): boolean {
  return pairFits(a, b).every(({ fits }) => fits !== false);
}

function intoNeighbour(inner: GearFacts, outer: GearFacts, enters: PairFit['enters']): readonly PairFit[] {
  const part = traitsOf(inner).enters;
  const { opening } = traitsOf(outer);
  if (part === 'nothing' || opening === 'none') return [];
  const hole = numberAt(outer, opening.kind === 'throat' ? opening.throat : opening.bore);
  switch (part.kind) {
    case 'shackle': {
      if (opening.kind === 'throat') return [{ ...fit('bow-in-throat', numberAt(inner, part.bow), hole), enters }];
      const pin: PairFit = { ...fit('pin-in-hole', numberAt(inner, part.pin), hole), enters };
      if (opening.lug === 'none') return [pin];
      // The lug goes between the shackle's ears: what is inner and outer changes places.
      const lug = fit('fitting-in-opening', numberAt(outer, opening.lug), numberAt(inner, part.inside));
      return [pin, { ...lug, enters: enters === 'first' ? 'second' : 'first' }];
    }
    case 'soft-shackle': {
      const rope = numberAt(inner, part.rope);
      const kind = opening.kind === 'throat' ? 'bow-in-throat' : 'soft-shackle-through-bore';
      return [{ ...fit(kind, rope === undefined ? undefined : 2 * rope, hole), enters }];
    }
    case 'bar':
      return opening.kind === 'bore' ? [{ ...fit('pin-in-hole', numberAt(inner, part.bar), hole), enters }] : [];
    default: {
      const never: never = part;
      return never;
    }
  }
}

/** A rope in the groove of what it runs over; undefined where that has no groove or is no pulley. */
export function grooveFit(rope: GearFacts, pulley: GearFacts): Fit | undefined {
  const sizes = pulleyOf(pulley);
  return sizes?.grooved ? fit('rope-in-groove', ropeDiameterOf(rope), sizes.grooveWidthM) : undefined;
}

/** A strap round a trunk of a diameter in metres: it must reach all the way round. */
export const trunkFit = (strap: GearFacts, trunkDiameterM: number): Fit =>
  fit('strap-round-trunk', Math.PI * trunkDiameterM, lengthOf(strap));

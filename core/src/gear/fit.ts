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
  fits: goes(sizeM, openingM),
});

const goes = (sizeM: number | undefined, openingM: number | undefined): boolean | undefined =>
  sizeM === undefined || openingM === undefined ? undefined : !exceeds(sizeM, openingM);

/** How two pieces meet; `enters` is the one that goes in, the first of the two or the second. */
export interface PairFit extends Fit {
  readonly enters: 'first' | 'second';
}

type Enters = PairFit['enters'];
const otherOf = (enters: Enters): Enters => (enters === 'first' ? 'second' : 'first');

const entering = (enters: Enters, kind: FitKind, sizeM: number | undefined, openingM: number | undefined): PairFit => ({
  kind,
  sizeM,
  openingM,
  fits: goes(sizeM, openingM),
  enters,
});

/** Every way in which two neighbours of a chain go into each other. */
export function pairFits(first: GearFacts, second: GearFacts): readonly PairFit[] {
  const fits: PairFit[] = [];
  addInto(fits, first, second, 'first');
  addInto(fits, second, first, 'second');
  return fits;
}

/** Whether two pieces that meet in a chain go into each other, as far as their sizes are on record: unknown sizes speak against nothing. */
export function goTogether(a: GearFacts, b: GearFacts): boolean {
  return pairFits(a, b).every(({ fits }) => fits !== false);
}

function addInto(fits: PairFit[], inner: GearFacts, outer: GearFacts, enters: Enters): void {
  const part = traitsOf(inner).enters;
  const { opening } = traitsOf(outer);
  if (part === 'nothing' || opening === 'none') return;
  if (opening.kind === 'throat') addIntoThroat(fits, inner, numberAt(outer, opening.throat), enters);
  else addIntoBore(fits, { inner, outer, bore: opening.bore, lug: opening.lug }, enters);
}

/** A bow or both strands of a soft shackle in a hook's throat; a bar does not hang in one. */
function addIntoThroat(fits: PairFit[], inner: GearFacts, throatM: number | undefined, enters: Enters): void {
  const part = traitsOf(inner).enters;
  if (part === 'nothing' || part.kind === 'bar') return;
  const sizeM = part.kind === 'shackle' ? numberAt(inner, part.bow) : bothStrandsM(inner, part.rope);
  fits.push(entering(enters, 'bow-in-throat', sizeM, throatM));
}

interface IntoBore {
  readonly inner: GearFacts;
  readonly outer: GearFacts;
  readonly bore: string;
  readonly lug: string;
}

function addIntoBore(fits: PairFit[], { inner, outer, bore, lug }: IntoBore, enters: Enters): void {
  const part = traitsOf(inner).enters;
  const boreM = numberAt(outer, bore);
  if (part === 'nothing') return;
  switch (part.kind) {
    case 'shackle':
      fits.push(entering(enters, 'pin-in-hole', numberAt(inner, part.pin), boreM));
      // The lug goes between the shackle's ears: what is inner and outer changes places.
      if (lug !== 'none') fits.push(entering(otherOf(enters), 'fitting-in-opening', numberAt(outer, lug), numberAt(inner, part.inside)));
      return;
    case 'soft-shackle':
      fits.push(entering(enters, 'soft-shackle-through-bore', bothStrandsM(inner, part.rope), boreM));
      return;
    case 'bar':
      fits.push(entering(enters, 'pin-in-hole', numberAt(inner, part.bar), boreM));
      return;
    default:
      part satisfies never;
  }
}

function bothStrandsM(piece: GearFacts, rope: string): number | undefined {
  const diameterM = numberAt(piece, rope);
  return diameterM === undefined ? undefined : 2 * diameterM;
}

/** A rope in the groove of what it runs over; undefined where that has no groove or is no pulley. */
export function grooveFit(rope: GearFacts, pulley: GearFacts): Fit | undefined {
  const sizes = pulleyOf(pulley);
  return sizes?.grooved ? fit('rope-in-groove', ropeDiameterOf(rope), sizes.grooveWidthM) : undefined;
}

/** A strap round a trunk of a diameter in metres: it must reach all the way round. */
export const trunkFit = (strap: GearFacts, trunkDiameterM: number): Fit =>
  fit('strap-round-trunk', Math.PI * trunkDiameterM, lengthOf(strap));

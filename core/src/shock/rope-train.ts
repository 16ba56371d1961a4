import type { RopeLaw } from '../hazards/rope-energy.ts';

/** A rope of a train: its law, its nominal breaking strength in newtons, never a derated one, and its length in metres, both above 0. */
export interface TrainRope {
  readonly law: RopeLaw;
  readonly mbsN: number;
  readonly lengthM: number;
}

/** Ropes one behind the other: they share the force and add their stretch. */
export type RopeTrain = readonly TrainRope[];

/** Relative change of force at which the search for it ends. */
const FORCE_TOLERANCE = 1e-13;
const NEWTON_STEPS = 60;

/** Exponent of the unloading curve, p_u = (p + 1)/r − 1, which returns the share r of the energy. */
const unloadingExponent = ({ exponent, recovery }: RopeLaw): number => (exponent + 1) / recovery - 1;

/** Stretch of one rope on its loading curve: L·ε_b·(F ÷ MBS)^(1/p). */
const loadedM = ({ law, mbsN, lengthM }: TrainRope, forceN: number): number =>
  lengthM * law.elongation * (forceN / mbsN) ** (1 / law.exponent);

/**
 * Stretch of a train, metres, under a force of 0 or more. Up to the greatest force it has seen, `peakN`, each rope follows its
 * unloading curve ε_pk·(F ÷ F_pk)^(1/p_u) in both directions; above it the loading curve.
 */
export function stretchOf(train: RopeTrain, forceN: number, peakN: number): number {
  let stretchM = 0;
  for (const rope of train)
    stretchM += forceN >= peakN ? loadedM(rope, forceN) : loadedM(rope, peakN) * (forceN / peakN) ** (1 / unloadingExponent(rope.law));
  return stretchM;
}

/** Force against stretch of a train on one of its curves, worked out once: what each rope stretches at one force, and its exponents. */
export interface TrainCurve {
  readonly atN: number;
  readonly ropes: readonly { readonly stretchM: number; readonly exponent: number }[];
  /** All of them at that force. */
  readonly wholeM: number;
  /** The exponent that all have in common, if they have. */
  readonly exponent: number | undefined;
}

/** The loading curves of a train's ropes. */
export const loadingCurve = (train: RopeTrain): TrainCurve => curveOf(train, 1, ({ exponent }) => exponent);
/** The unloading curves from the greatest force that they have seen, newtons, above 0. */
export const unloadingCurve = (train: RopeTrain, peakN: number): TrainCurve => curveOf(train, peakN, unloadingExponent);

function curveOf(train: RopeTrain, atN: number, exponentOf: (law: RopeLaw) => number): TrainCurve {
  const ropes = train.map((rope) => ({ stretchM: loadedM(rope, atN), exponent: exponentOf(rope.law) }));
  const [first] = ropes;
  const alike = ropes.every(({ exponent }) => exponent === first?.exponent);
  return { atN, ropes, wholeM: ropes.reduce((sum, { stretchM }) => sum + stretchM, 0), exponent: alike ? first?.exponent : undefined };
}

/** Force of a train at a stretch on one of its curves, newtons; 0 where it hangs slack. */
export function forceOn({ atN, ropes, wholeM, exponent }: TrainCurve, stretchM: number): number {
  if (!(stretchM > 0) || ropes.length === 0) return 0;
  // Ropes of one exponent are together one rope.
  if (exponent !== undefined) return atN * (stretchM / wholeM) ** exponent;
  // Else stretch rises with force ever more slowly, so that after its first step Newton's method comes up from below.
  let forceN = atN * (stretchM / wholeM) ** (ropes[0]?.exponent ?? 1);
  for (let step = 0; step < NEWTON_STEPS; step++) {
    let [total, slope] = [0, 0];
    for (const rope of ropes) {
      const own = rope.stretchM * (forceN / atN) ** (1 / rope.exponent);
      total += own;
      slope += own / (rope.exponent * forceN);
    }
    const next = forceN + (stretchM - total) / slope;
    const better = next > 0 ? next : forceN * 1e-3;
    if (Math.abs(better - forceN) <= FORCE_TOLERANCE * better) return better;
    forceN = better;
  }
  return forceN;
}

/** Energy that loading a train to a force takes, joules: Σ MBS·L·ε_b/(p + 1)·(F ÷ MBS)^((p + 1)/p). */
export function loadingEnergyJ(train: RopeTrain, forceN: number): number {
  return train.reduce((sum, rope) => sum + (forceN * loadedM(rope, forceN)) / (rope.law.exponent + 1), 0);
}

/** Energy that a train gives back from a force, joules, having seen `peakN`. */
export function storedEnergyJ(train: RopeTrain, forceN: number, peakN: number): number {
  if (forceN >= peakN)
    return train.reduce((sum, rope) => sum + rope.law.recovery * ((forceN * loadedM(rope, forceN)) / (rope.law.exponent + 1)), 0);
  return train.reduce((sum, rope) => {
    const exponent = unloadingExponent(rope.law);
    const stretchM = loadedM(rope, peakN) * (forceN / peakN) ** (1 / exponent);
    return sum + (forceN * stretchM) / (exponent + 1);
  }, 0);
}

/**
 * Peak force of a run-up against something that does not move, newtons: the force at which the ropes' energies together are
 * ½·m·v². For one rope F = MBS·[(p + 1)·½mv² ÷ (MBS·L·ε_b)]^(p/(p + 1)). Kilograms and metres a second, 0 or more.
 */
export function closedFormPeakN(train: RopeTrain, massKg: number, speedMPerS: number): number {
  const energyJ = 0.5 * massKg * speedMPerS * speedMPerS;
  if (!(energyJ > 0) || train.length === 0) return 0;
  const alone = train.map(
    ({ law: { elongation, exponent: p }, mbsN, lengthM }) => mbsN * (((p + 1) * energyJ) / (mbsN * lengthM * elongation)) ** (p / (p + 1)),
  );
  // Alone, each rope would have to take all of it: no train pulls harder than its stiffest rope alone.
  let [low, high] = [0, Math.min(...alone)];
  if (train.length === 1) return high;
  for (let step = 0; step < 200 && high - low > FORCE_TOLERANCE * high; step++) {
    const middle = (low + high) / 2;
    if (loadingEnergyJ(train, middle) < energyJ) low = middle;
    else high = middle;
  }
  return high;
}

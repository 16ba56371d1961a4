import { joinedLengthM } from '../gear/traits.ts';
import type { ResolvedDrive } from '../resolved/parts.ts';
import type { Act } from './act.ts';
import { holdingGrips } from './regrip.ts';

/** One throw of a haul by hand: metres of the load's travel, and metres of rope that people take in. */
export interface Throw {
  readonly fromM: number;
  readonly toM: number;
  readonly ropeM: number;
}

/** A haul by hand, as people have to plan for it. Metres, newtons, minutes. */
export interface HandHaul {
  readonly lineId: string;
  /** People at the rope, and how many the largest planned pull takes; missing where nothing is planned. */
  readonly people: number;
  readonly neededPeople?: number | undefined;
  /** What each of those at the rope pulls at most, as planned. */
  readonly eachN?: number | undefined;
  /** Between two of them grips are moved back; none where nobody has said how far the load has to go. */
  readonly throws: readonly Throw[];
  /** Rope from the hands to its end where most of it is needed, and how much there is; missing where a length is not on record. */
  readonly neededM?: number | undefined;
  readonly ropeM?: number | undefined;
  /** Places of the grips that hold its line while hands are off the rope; none: it is held by hand alone. */
  readonly heldBy: readonly string[];
  /** Hauling and moving grips back: a guess. */
  readonly minutes?: number | undefined;
}

/** Every haul by hand of an act, in the order of its drives. */
export function handHauls(act: HauledAct): readonly HandHaul[] {
  return act.rig.drives.flatMap((drive) => (drive.kind === 'hand' ? [haulOf(act, drive)] : []));
}

type HauledAct = Pick<Act, 'rig' | 'start' | 'curves' | 'events' | 'startOnly'>;
type HandDrive = Extract<ResolvedDrive, { kind: 'hand' }>;

function haulOf(act: HauledAct, drive: HandDrive): HandHaul {
  const { rig, start, curves, startOnly } = act;
  const { hand } = rig.policy;
  const people = Math.round(drive.ratedN / hand.pullPerPersonN.value);
  const plannedN = largest(curves.linePullN.map((pullN) => pullN * (start.drives[drive.index]?.share ?? Number.NaN)));
  const pathM = curves.pathM[drive.line.index] ?? [];
  const throws = startOnly === undefined ? throwsOf(act, pathM) : [];
  const hauledM = throws.reduce((sum, { ropeM }) => sum + ropeM, 0);
  return {
    lineId: drive.line.line.id,
    people,
    ...(plannedN !== undefined && {
      neededPeople: Math.ceil(plannedN / hand.pullPerPersonN.value - 1e-9),
      eachN: people > 0 ? plannedN / people : undefined,
    }),
    throws,
    neededM: largest(pathM),
    ropeM: lengthOfRopes(drive),
    heldBy: holdingGrips(rig, drive.line).map(({ use }) => use.id),
    minutes: throws.length > 0 ? hauledM / hand.haulMPerMin.value + (throws.length - 1) * hand.resetMin.value : undefined,
  };
}

/** The largest of some figures; undefined where none is known. */
function largest(values: readonly number[]): number | undefined {
  const known = values.filter(Number.isFinite);
  return known.length > 0 ? Math.max(...known) : undefined;
}

/** The throws of a haul, parted where grips were moved back. */
function throwsOf({ curves: { travelM }, events }: HauledAct, pathM: readonly number[]): readonly Throw[] {
  // A pull that ends where no balance is found has no path at its last step.
  const last = pathM.findLastIndex(Number.isFinite);
  const resets = events.filter(({ kind }) => kind === 'grip-moved').map(({ atM }) => travelM.indexOf(atM));
  const starts = [0, ...resets];
  return starts.flatMap((first, index): readonly Throw[] => {
    const next = resets[index];
    // The step before a reset is where the rope ran out, to a millimetre.
    const end = next === undefined ? last : next - 1;
    const [fromM, toM, out, back] = [travelM[first], travelM[next ?? last], pathM[first], pathM[end]];
    const isOne = fromM !== undefined && toM !== undefined && out !== undefined && back !== undefined && toM > fromM;
    return isOne ? [{ fromM, toM, ropeM: out - back }] : [];
  });
}

function lengthOfRopes({ line: { ropes } }: HandDrive): number | undefined {
  let sumM = 0;
  for (const { piece } of ropes) {
    const lengthM = piece && joinedLengthM(piece);
    if (lengthM === undefined) return undefined;
    sumM += lengthM;
  }
  return sumM;
}

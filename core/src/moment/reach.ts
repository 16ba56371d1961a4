import type { GearFacts } from '../gear/gear-facts.ts';
import { joinedLengthM, ropeLawOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import type { ResolvedChain, ResolvedLine, ResolvedTie, ResolvedUse } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { distance, ZERO } from '../statics/vec3.ts';
import { pathLengthM } from './forces.ts';
import type { Moment } from './moment.ts';

/** Ropes, straps and chains that together have to go a way. */
export type Reach = {
  /** Of all whose length is on record, metres. */
  readonly knownM: number;
  /** Those whose length is not. */
  readonly unknown: readonly ResolvedUse[];
  /** What it is told of. */
  readonly about: ResolvedUse;
} & (
  | { readonly kind: 'line'; readonly line: ResolvedLine }
  | { readonly kind: 'back-anchor'; readonly tie: ResolvedTie }
  /** Two legs that are to meet at a joint. */
  | { readonly kind: 'legs'; readonly from: ResolvedChain; readonly to: ResolvedChain }
);

/** Everything that has to reach but a winch's line, whose drum tells of it. A piece nobody has chosen has a rule of its own. */
export const reachesOf = (rig: ResolvedRig): readonly Reach[] => [
  ...rig.lines.flatMap(lineReach),
  ...rig.ties.flatMap(tieReach),
  ...(rig.rig.joints ?? []).flatMap(({ id }) => legsReach(rig, id)),
];

function lineReach(line: ResolvedLine): readonly Reach[] {
  const [about] = line.ropes;
  if (line.line.drive.kind === 'winch' || about === undefined || line.ropes.some(({ piece }) => piece === undefined)) return [];
  const lengths = line.ropes.map(({ piece }) => piece && joinedLengthM(piece));
  return [{ kind: 'line', line, about, knownM: sum(lengths), unknown: line.ropes.filter((_, order) => lengths[order] === undefined) }];
}

function tieReach(tie: ResolvedTie): readonly Reach[] {
  const about = tie.uses.find(({ use }) => use.role !== 'point' && use.role !== 'anchor') ?? tie.uses[0];
  if (about === undefined || tie.uses.some(({ piece, use }) => piece === undefined && use.role !== 'point' && use.role !== 'connector'))
    return [];
  return [{ kind: 'back-anchor', tie, about, knownM: tie.lengthM, unknown: tie.uses.filter(isLong) }];
}

/** Legs of a bridle two by two: together they are as long as their points are apart, or they do not meet. */
function legsReach({ chains }: ResolvedRig, jointId: string): readonly Reach[] {
  const legs = chains.filter(
    ({ chain: { to }, point, twin }) => to?.kind === 'joint' && to.jointId === jointId && point !== undefined && !twin,
  );
  return legs.flatMap((from, index) =>
    legs.slice(index + 1).flatMap((to): readonly Reach[] => {
      const about = from.uses.find(({ use }) => use.role === 'strap' || use.role === 'rope') ?? from.last;
      const uses = [...from.uses, ...to.uses];
      if (about === undefined || uses.some(({ piece, use }) => piece === undefined && use.role !== 'point' && use.role !== 'connector'))
        return [];
      return [{ kind: 'legs', from, to, about, knownM: from.lengthM + to.lengthM, unknown: uses.filter(isLong) }];
    }),
  );
}

/** A piece whose unknown length is that of a rope, strap or chain; a shackle's hardly counts. */
const isLong = ({ piece, lengthUnknown }: ResolvedUse): boolean =>
  lengthUnknown && piece !== undefined && joinedLengthM(piece) === undefined;

const sum = (lengths: readonly (number | undefined)[]): number => lengths.reduce<number>((total, own) => total + (own ?? 0), 0);

/** The way that it has to go in a moment, metres; NaN without a balance. */
export function reachWayM({ shown, positions }: Moment, reach: Reach): number {
  switch (reach.kind) {
    case 'line':
      return shown === undefined ? Number.NaN : pathLengthM(reach.line, shown.balance.forces);
    case 'back-anchor':
      return distance(positions[reach.tie.anchor.index] ?? ZERO, positions[reach.tie.vehicle.index] ?? ZERO);
    case 'legs':
      return distance(positions[reach.from.point?.index ?? -1] ?? ZERO, positions[reach.to.point?.index ?? -1] ?? ZERO);
    default: {
      const never: never = reach;
      return never;
    }
  }
}

/** The usual range of a length that is not on record, metres. */
export function usualLengthM({ piece }: ResolvedUse, { usual }: Policy): { readonly least: number; readonly most: number } {
  const stretches = isStretch(piece);
  return stretches
    ? { least: usual.stretchLeastM.value, most: usual.stretchMostM.value }
    : { least: usual.strapLeastM.value, most: usual.strapMostM.value };
}

const isStretch = (piece: GearFacts | undefined): boolean =>
  piece !== undefined && ['stretch-rope', 'stretch-strap'].includes(ropeLawOf(piece) ?? '');

import { type ChosenUse, isChosen, type ResolvedChain, type ResolvedLine, type ResolvedUse } from './parts.ts';
import type { ResolvedRig } from './resolved-rig.ts';

/** A grip and the rope that it sits on. */
export interface GripOnRope {
  readonly grip: ChosenUse;
  readonly host: ChosenUse;
}

/** Every grip with its rope: the strand that its chain holds, the line that begins at its joint, or the line that ends in it. */
export const gripsOnRopes = (rig: Pick<ResolvedRig, 'rig' | 'chains' | 'lines'>): readonly GripOnRope[] =>
  rig.chains.flatMap((chain) =>
    chain.uses
      .filter(({ use }) => use.role === 'grip')
      .filter(isChosen)
      .flatMap((grip) =>
        hostsOf(rig, chain, grip)
          .filter(isChosen)
          .map((host) => ({ grip, host })),
      ),
  );

function hostsOf(
  { rig, lines }: Pick<ResolvedRig, 'rig' | 'lines'>,
  chain: ResolvedChain,
  grip: ChosenUse,
): readonly (ResolvedUse | undefined)[] {
  const { from, to } = chain.chain;
  if (to?.kind === 'grip') {
    const own = rig.grips?.find(({ id }) => id === to.gripId);
    const line = lines.find((entry) => entry.line.id === own?.lineId);
    return [line && ropeAt(line, own?.toEndM ?? 0)];
  }
  if (from.kind === 'joint' && chain.first === grip)
    return lines.filter(({ stops }) => stops[0]?.node === chain.root).map(({ ropes }) => ropes[0]);
  return lines.filter(({ stops }) => stops.at(-1)?.chain === chain).map(({ ropes }) => ropes.at(-1));
}

/** The rope of a line so far from its end, metres. */
const ropeAt = ({ reaches, ropes }: ResolvedLine, toEndM: number): ResolvedUse | undefined =>
  reaches.find((reach, order) => order > 0 && toEndM >= reach.fromEndM && toEndM < reach.toEndM)?.rope ?? ropes[0];

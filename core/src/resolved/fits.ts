import { grooveFit, pairFits, trunkFit } from '../gear/fit.ts';
import type { RigParts } from './resolve-rig.ts';
import { type ChosenUse, isChosen, type ResolvedFit, type ResolvedUse } from './resolved-rig.ts';

/** Every rigid joint of a rig: neighbours in its chains, ropes in grooves, straps round trunks. */
export function resolveFits(rig: Pick<RigParts, 'chains' | 'ties' | 'lines'>): readonly ResolvedFit[] {
  const rows = [...rig.chains.map(({ uses }) => uses), ...rig.ties.map(({ uses }) => uses)];
  return [...rows.flatMap(alongARow), ...rig.lines.flatMap(inGrooves), ...rig.chains.flatMap(({ first }) => roundATrunk(first))];
}

function alongARow(uses: readonly ResolvedUse[]): readonly ResolvedFit[] {
  return uses.slice(1).flatMap((second, index) => {
    const first = uses[index];
    if (!isChosen(first) || !isChosen(second)) return [];
    return pairFits(first.piece, second.piece).map(({ enters, ...fit }): ResolvedFit => {
      const [inner, outer] = enters === 'first' ? [first, second] : [second, first];
      return { ...fit, inner, outer };
    });
  });
}

function inGrooves({ ropes: [rope], stops }: RigParts['lines'][number]): readonly ResolvedFit[] {
  if (!isChosen(rope)) return [];
  return stops.flatMap(({ kind, chain }) => {
    const pulley: ResolvedUse | undefined = kind === 'pulley' ? chain?.last : undefined;
    const fit = isChosen(pulley) ? grooveFit(rope.piece, pulley.piece) : undefined;
    return fit && isChosen(pulley) ? [{ ...fit, inner: rope, outer: pulley }] : [];
  });
}

function roundATrunk(first: ResolvedUse | undefined): readonly ResolvedFit[] {
  if (!isChosen(first) || first.round === undefined || first.use.hitch === undefined || first.use.hitch === 'in-line') return [];
  const inner: ChosenUse = first;
  return [{ ...trunkFit(first.piece, first.round.diameterM), inner, outer: undefined }];
}

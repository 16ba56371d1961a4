import { grooveFit, pairFits, trunkFit } from '../gear/fit.ts';
import { type ChosenUse, isChosen, type ResolvedFit, type ResolvedUse } from './parts.ts';
import type { RigParts } from './resolved-rig.ts';

/** Every rigid joint of a rig: neighbours in its chains, ropes in grooves, straps round trunks. */
export function resolveFits(rig: Pick<RigParts, 'chains' | 'ties' | 'lines'>): readonly ResolvedFit[] {
  const rows = [...rig.chains.map(({ uses }) => uses), ...rig.ties.map(({ uses }) => uses)];
  const roundTrunks = [...rig.chains.map(({ first }) => first), ...rig.ties.flatMap(({ uses }) => uses)];
  return [...rows.flatMap(alongARow), ...rig.lines.flatMap(inGrooves), ...roundTrunks.flatMap(roundATrunk)];
}

function alongARow(uses: readonly ResolvedUse[]): readonly ResolvedFit[] {
  const fits: ResolvedFit[] = [];
  for (let index = 1; index < uses.length; index++) {
    const [first, second] = [uses[index - 1], uses[index]];
    if (!isChosen(first) || !isChosen(second)) continue;
    for (const { kind, sizeM, openingM, fits: goes, enters } of pairFits(first.piece, second.piece)) {
      const entersFirst = enters === 'first';
      fits.push({ kind, sizeM, openingM, fits: goes, inner: entersFirst ? first : second, outer: entersFirst ? second : first });
    }
  }
  return fits;
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

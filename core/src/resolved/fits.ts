import { type Joint, jointOf, pairJoints } from '../gear/fit.ts';
import { isPulley } from '../gear/pulleys.ts';
import type { ChosenUse, Gathered } from '../moment/assessment.ts';
import type { PieceUse } from '../rig/rig.ts';
import { bodyOfChain, roundDiameterM } from '../rig/site-geometry.ts';
import { gearOf } from './rig-network.ts';

/** Every rigid joint of a rig: neighbours in its chains, ropes in grooves, straps round trunks. */
export function jointsOf(assessment: Gathered): readonly Joint[] {
  return [...chainJoints(assessment), ...grooveJoints(assessment), ...trunkJoints(assessment)];
}

function chainJoints({ rig, gear }: Gathered): readonly Joint[] {
  const rows = [...rig.chains.map(({ pieces }) => pieces), ...(rig.backAnchors ?? []).map(({ pieces }) => pieces)];
  return rows.flatMap((pieces) =>
    pieces.slice(1).flatMap((use, index) => {
      const before = pieces[index];
      const pair = [before && chosen(before, gear), chosen(use, gear)];
      const [a, b] = pair;
      return a && b ? [...pairJoints(a, b), ...pairJoints(b, a)] : [];
    }),
  );
}

function chosen(use: PieceUse, gear: Gathered['gear']): ChosenUse | undefined {
  const piece = gearOf(use, gear);
  return piece && { use, piece };
}

function grooveJoints({ rig, gear, network }: Gathered): readonly Joint[] {
  return network.lines.flatMap(({ line, stops }) => {
    const rope = line.ropes[0] && chosen(line.ropes[0], gear);
    if (!rope) return [];
    return stops.flatMap(({ kind, chainId }) => {
      const last = kind === 'pulley' ? rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1) : undefined;
      const pulley = last && chosen(last, gear);
      if (!pulley || !isPulley(pulley.piece) || pulley.piece.kind === 'carabiner') return [];
      const sizeM = 'ropeDiameterM' in rope.piece.attributes ? rope.piece.attributes.ropeDiameterM : undefined;
      return [jointOf({ kind: 'rope-in-groove', inner: rope, outer: pulley, sizeM, openingM: pulley.piece.attributes.grooveWidthM })];
    });
  });
}

function trunkJoints({ rig, gear }: Gathered): readonly Joint[] {
  return rig.chains.flatMap((chain) => {
    const diameterM = roundDiameterM(bodyOfChain(rig, chain));
    const first = chain.pieces[0] && chosen(chain.pieces[0], gear);
    if (diameterM === undefined || !first || first.use.hitch === undefined || first.use.hitch === 'in-line') return [];
    const openingM = 'lengthM' in first.piece.attributes ? first.piece.attributes.lengthM : undefined;
    return [jointOf({ kind: 'strap-round-trunk', inner: first, outer: undefined, sizeM: Math.PI * diameterM, openingM })];
  });
}

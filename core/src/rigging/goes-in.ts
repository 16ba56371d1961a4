import { pairFits } from '../gear/fit.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/pulleys.ts';
import { exceeds } from '../quantity/tolerance.ts';
import { bodyOfUse } from '../rig/body-of-use.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { roundDiameterM } from '../rig/site-geometry.ts';

/** The facts of a piece by its id; undefined where nobody has chosen or it is not known. */
export type FactsById = (gearId: string | undefined) => GearFacts | undefined;

/**
 * Whether a piece would go into what it meets in a place of the rig, as far as sizes are on record: its neighbours' holes and
 * throats, round its trunk (length against π × diameter, metres), its groove round the line (rope against groove, metres). Exactly
 * as large passes; what is unknown speaks against nothing. The rules of fit judge the rig itself; this is for choosing before that.
 */
export function goesIn(facts: GearFacts, rig: Rig, use: PieceUse, byId: FactsById): boolean {
  return (
    roundTheTrunk(facts, rig, use) &&
    takesTheLine(facts, rig, use, byId) &&
    neighbours(rig, use, byId).every((other) => pairFits(facts, other))
  );
}

function roundTheTrunk(facts: GearFacts, rig: Rig, use: PieceUse): boolean {
  const trunkM = roundDiameterM(bodyOfUse(rig, use.id));
  const lengthM = 'lengthM' in facts.attributes ? facts.attributes.lengthM : undefined;
  return use.hitch !== 'basket' || trunkM === undefined || lengthM === undefined || !exceeds(Math.PI * trunkM, lengthM);
}

function takesTheLine(facts: GearFacts, rig: Rig, use: PieceUse, byId: FactsById): boolean {
  if (!isPulley(facts) || facts.kind === 'carabiner') return true;
  const chain = rig.chains.find(({ pieces }) => pieces.at(-1)?.id === use.id);
  const lines = rig.lines.filter(({ via }) => via.some((bend) => bend.kind === 'pulley' && bend.chainId === chain?.id));
  const { grooveWidthM } = facts.attributes;
  return lines.every(({ ropes }) => {
    const rope = byId(ropes[0]?.gearId);
    const sizeM = rope && 'ropeDiameterM' in rope.attributes ? rope.attributes.ropeDiameterM : undefined;
    return sizeM === undefined || grooveWidthM === undefined || !exceeds(sizeM, grooveWidthM);
  });
}

/** The pieces that meet one in its chain, from the body's side and from the line's, as far as they are chosen. */
function neighbours(rig: Rig, use: PieceUse, byId: FactsById): readonly GearFacts[] {
  const rows = [...rig.chains.map(({ pieces }) => pieces), ...(rig.backAnchors ?? []).map(({ pieces }) => pieces)];
  const row = rows.find((uses) => uses.some(({ id }) => id === use.id)) ?? [];
  const index = row.findIndex(({ id }) => id === use.id);
  return [row[index - 1], row[index + 1]].flatMap((other) => byId(other?.gearId) ?? []);
}

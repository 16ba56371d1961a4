import { goTogether, grooveFit, trunkFit } from '../gear/fit.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { bodyOfUse } from '../rig/body-of-use.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { roundDiameterM } from '../rig/site-geometry.ts';

/** The facts of a piece by its id; undefined where nobody has chosen or it is not known. */
export type FactsById = (gearId: string | undefined) => GearFacts | undefined;

/**
 * Whether a piece would go into what it meets in a place of the rig, as far as sizes are on record: its neighbours' holes and
 * throats, round its trunk, its groove round the line. Exactly as large passes; what is unknown speaks against nothing. It asks the
 * same fits as the rules do; this is for choosing before a rig is judged.
 */
export function goesIn(facts: GearFacts, rig: Rig, use: PieceUse, byId: FactsById): boolean {
  return (
    roundTheTrunk(facts, rig, use) &&
    takesTheLine(facts, rig, use, byId) &&
    neighbours(rig, use, byId).every((other) => goTogether(facts, other))
  );
}

function roundTheTrunk(facts: GearFacts, rig: Rig, use: PieceUse): boolean {
  const trunkM = roundDiameterM(bodyOfUse(rig, use.id));
  return use.hitch === undefined || use.hitch === 'in-line' || trunkM === undefined || trunkFit(facts, trunkM).fits !== false;
}

function takesTheLine(facts: GearFacts, rig: Rig, use: PieceUse, byId: FactsById): boolean {
  const chain = rig.chains.find(({ pieces }) => pieces.at(-1)?.id === use.id);
  const lines = rig.lines.filter(({ via }) => via.some((bend) => bend.kind === 'pulley' && bend.chainId === chain?.id));
  return lines.every(({ ropes }) => {
    const rope = byId(ropes[0]?.gearId);
    return rope === undefined || grooveFit(rope, facts)?.fits !== false;
  });
}

/** The pieces that meet one in its chain, from the body's side and from the line's, as far as they are chosen. */
function neighbours(rig: Rig, use: PieceUse, byId: FactsById): readonly GearFacts[] {
  const rows = [...rig.chains.map(({ pieces }) => pieces), ...(rig.backAnchors ?? []).map(({ pieces }) => pieces)];
  const row = rows.find((uses) => uses.some(({ id }) => id === use.id)) ?? [];
  const index = row.findIndex(({ id }) => id === use.id);
  return [row[index - 1], row[index + 1]].flatMap((other) => byId(other?.gearId) ?? []);
}

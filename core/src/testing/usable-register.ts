import type { GearFacts } from '../gear/gear-facts.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { pieceLimit } from '../rating/piece-limit.ts';
import { usualUse } from '../rating/usual-use.ts';
import type { Rig } from '../rig/rig.ts';
import type { BagPiece } from '../rigging/candidates.ts';
import { kitGear } from './kit-gear.ts';

/** The day of the register. */
export const REGISTER_DAY = '2026-06-01';

/** A scene's place alone: its bodies as the team's own vehicles and what stands there, nothing laid. */
export function siteOf(scene: Rig): Rig {
  const { joints: _joints, grips: _grips, backAnchors: _back, lanyards: _lanyards, sharing: _sharing, ...rest } = scene;
  return {
    ...rest,
    bodies: scene.bodies.map((body) => (body.kind === 'vehicle' ? { ...body, vehicleId: body.id } : body)),
    points: [],
    chains: [],
    lines: [],
    dampers: [],
  };
}

const BOLTED: readonly GearFacts['kind'][] = ['winch', 'recovery-point'];

/** A usable register: the kit's loose pieces, and on every vehicle of a site a winch and rated points at its four corners. */
export function registerOf(site: Rig): readonly BagPiece[] {
  const inBag = (facts: GearFacts, vehicleId?: string): BagPiece => ({
    facts,
    vehicleId,
    limit: pieceLimit(facts, usualUse(facts.kind), { policy: teamStandard, asOf: REGISTER_DAY, wet: false }),
  });
  const [winch, point] = ['W-A', 'VP-A'].map((id) => kitGear.find((entry) => entry.id === id));
  const bolted = site.bodies.flatMap((body) => {
    if (body.kind !== 'vehicle' || !winch || !point) return [];
    const corners = [
      [0.48, 0.3],
      [0.48, -0.3],
      [-0.48, 0.3],
      [-0.48, -0.3],
    ] as const;
    const points = corners.map(([forward, left], corner) => {
      const attributes = { ...point.attributes, forwardM: forward * body.lengthM, leftM: left * body.widthM, heightM: 0.5 };
      return { ...point, id: `VP-${body.id}-${corner}`, tag: `VP-${body.id}-${corner}`, attributes } as GearFacts;
    });
    return [{ ...winch, id: `W-${body.id}`, tag: `W-${body.id}` } as GearFacts, ...points].map((facts) => inBag(facts, body.id));
  });
  return [...kitGear.filter(({ kind }) => !BOLTED.includes(kind)).map((facts) => inBag(facts)), ...bolted];
}

import type { Body, Edit, Rig, Stand } from '@wainrope/core';

/** Edits that put everybody where they are to stand, in a cab or out of it; whoever is there already or has no safe place stays. */
export function placedEdits(rig: Rig, stands: readonly Stand[]): readonly Edit[] {
  return stands.flatMap(({ id, label, duty, xM, yM, inVehicleId }): readonly Edit[] => {
    if (xM === undefined || yM === undefined) return [];
    const before = rig.bodies.find((body): body is Extract<Body, { kind: 'person' }> => body.id === id && body.kind === 'person');
    // A place of one's own takes nobody's cab and no shelter along.
    const { inVehicleId: _seat, shelter: _cover, ...person } = before ?? { id, kind: 'person' as const, label, duty, xM, yM };
    const at = { xM: toCentimetre(xM), yM: toCentimetre(yM) };
    const isThere = before?.inVehicleId === inVehicleId && before?.xM === at.xM && before.yM === at.yM && before.shelter === undefined;
    if (before !== undefined && isThere) return [];
    return [{ kind: 'put', list: 'bodies', entry: { ...person, ...at, ...(inVehicleId !== undefined && { inVehicleId }) } }];
  });
}

const toCentimetre = (metres: number): number => Math.round(metres * 100) / 100;

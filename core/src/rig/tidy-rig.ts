import { applyEdit, type Edit } from './edits.ts';
import { usesOf } from './references.ts';
import type { Rig } from './rig.ts';

/** The edits, and after them those that take away what hung on something that they took away. */
export function withTidying(rig: Rig, edits: readonly Edit[]): readonly Edit[] {
  if (edits.length === 0) return edits;
  const after = edits.reduce((state, edit) => applyEdit(state, edit).rig, rig);
  return [...edits, ...tidyEdits(after)];
}

/** Lanyards, dampers, grips, shares and seats that name a piece, point, strand, line or vehicle that is not there any more. */
function tidyEdits(rig: Rig): readonly Edit[] {
  return [...gripEdits(rig), ...lanyardEdits(rig), ...damperEdits(rig), ...sharingEdits(rig), ...seatEdits(rig)];
}

const remove = (list: Extract<Edit, { kind: 'remove' }>['list'], id: string): Edit => ({ kind: 'remove', list, id });

/** Whether a line still has a strand of that number, the drive's being 0. */
function hasStrand({ lines }: Rig, lineId: string, strand: number): boolean {
  const line = lines.find(({ id }) => id === lineId);
  return line !== undefined && strand <= line.via.length;
}

function gripEdits(rig: Rig): readonly Edit[] {
  const gone = (rig.grips ?? []).filter(({ lineId, strand }) => !hasStrand(rig, lineId, strand)).map(({ id }) => id);
  const held = rig.chains.filter(({ to }) => to?.kind === 'grip' && gone.includes(to.gripId));
  return [...held.map(({ id }) => remove('chains', id)), ...gone.map((id) => remove('grips', id))];
}

function lanyardEdits(rig: Rig): readonly Edit[] {
  const uses = new Set(usesOf(rig).map(({ use }) => use.id));
  const points = new Set(rig.points.map(({ id }) => id));
  const hangs = ({ useId, to }: NonNullable<Rig['lanyards']>[number]) =>
    uses.has(useId) && (to.kind === 'point' ? points.has(to.pointId) : hasStrand(rig, to.lineId, to.strand));
  return (rig.lanyards ?? []).filter((lanyard) => !hangs(lanyard)).map(({ id }) => remove('lanyards', id));
}

function damperEdits(rig: Rig): readonly Edit[] {
  return rig.dampers.filter(({ lineId, strand }) => !hasStrand(rig, lineId, strand)).map(({ id }) => remove('dampers', id));
}

/** Shares that a person stated speak of exactly the drives there were. */
function sharingEdits({ sharing, lines }: Rig): readonly Edit[] {
  if (!sharing) return [];
  const drives = lines.filter(({ drive }) => drive.kind !== 'held').map(({ id }) => id);
  const stated = sharing.shares.map(({ lineId }) => lineId);
  const same = drives.length === stated.length && drives.every((id) => stated.includes(id));
  return same ? [] : [{ kind: 'state-sharing', sharing: undefined }];
}

function seatEdits({ bodies }: Rig): readonly Edit[] {
  const there = new Set(bodies.map(({ id }) => id));
  return bodies.flatMap((body): readonly Edit[] => {
    if (body.kind !== 'person' || body.inVehicleId === undefined || there.has(body.inVehicleId)) return [];
    const { inVehicleId: _gone, ...outside } = body;
    return [{ kind: 'change-body', body: outside }];
  });
}

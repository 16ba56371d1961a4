import { bodyOfUse } from '../rig/body-of-use.ts';
import { applyEdit, type Edit } from '../rig/edits.ts';
import { usesOf } from '../rig/references.ts';
import type { Rig } from '../rig/rig.ts';
import { type BagPiece, bestFor } from './candidates.ts';
import { choosePieceEdits } from './choose-piece.ts';

/** The register's vehicle on which a place of the rig is, where it is on one. */
export function vehicleIdOfUse(rig: Rig, useId: string): string | undefined {
  const body = bodyOfUse(rig, useId);
  return body?.kind === 'vehicle' ? body.vehicleId : undefined;
}

/** The pieces to choose from, and the day. */
export interface Bag {
  readonly pieces: readonly BagPiece[];
  readonly today: string;
}

/** The edits, and after them those that fill the places which they make; what somebody left empty before stays so. */
export function withPieces(rig: Rig, edits: readonly Edit[], bag: Bag): readonly Edit[] {
  const before = new Set(usesOf(rig).map(({ use }) => use.id));
  return [...edits, ...fillEdits(applied(rig, edits), bag, before)];
}

/** Edits that fill empty places of the rig with the best piece of the register; places for which there is none stay empty, as do those named. */
export function fillEdits(rig: Rig, { pieces, today }: Bag, leave: ReadonlySet<string> = new Set()): readonly Edit[] {
  const edits: Edit[] = [];
  let now = rig;
  for (const { use } of usesOf(rig)) {
    if (use.gearId !== undefined || leave.has(use.id)) continue;
    const gearId = bestFor(pieces, { rig: now, use, today, vehicleId: vehicleIdOfUse(now, use.id) });
    const piece = pieces.find(({ facts }) => facts.id === gearId);
    if (!piece) continue;
    const chosen = choosePieceEdits(now, use, piece.facts);
    now = chosen.reduce((state, edit) => applyEdit(state, edit).rig, now);
    edits.push(...chosen);
  }
  return edits;
}

export const applied = (rig: Rig, edits: readonly Edit[]): Rig => edits.reduce((state, edit) => applyEdit(state, edit).rig, rig);

import type { HookUpView } from '@wainrope/contract';
import { bodyOfUse, type Edit, type PieceUse, pointOfChain, type Rig } from '@wainrope/core';

/** What the book says of the vehicle on which a place of the rig is; entries of its model alone. */
export function entriesFor(
  rig: Rig,
  useId: string,
  entries: readonly HookUpView[],
  modelOf: (vehicleId: string) => string | undefined,
): readonly HookUpView[] {
  const body = bodyOfUse(rig, useId);
  const model = body?.kind === 'vehicle' && body.vehicleId !== undefined ? modelOf(body.vehicleId) : undefined;
  const order = { used: 0, 'last-resort': 1, refused: 2, touched: 3 } as const;
  return entries
    .filter((entry) => entry.kind !== 'touched' && entry.model.toLowerCase() === model?.toLowerCase())
    .sort((a, b) => order[a.kind] - order[b.kind]);
}

/** Who states it, and on which day. */
export interface Said {
  readonly person: string;
  readonly on: string;
}

/**
 * Edits that hook up at a place of the book: the point goes there under its name, without a piece of the register, so that
 * somebody must still say what it holds. That it is a last resort is a fact of the place, with who of the owner's side has agreed.
 */
export function bookEdits(rig: Rig, use: PieceUse, entry: HookUpView, consent: string, said: Said): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  if (entry.kind === 'refused' || entry.kind === 'touched' || point?.place.kind !== 'on-vehicle') return [];
  if (entry.kind === 'last-resort' && consent.trim() === '') return [];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = entry;
  const { gearId: _piece, judged: _other, named: _before, ...bare } = use;
  const lastResort = entry.kind === 'last-resort';
  const named = { lastResort, ...said, ...(lastResort && { agreedBy: consent.trim() }) };
  return [
    { kind: 'change-use', useId: use.id, use: { ...bare, named } },
    { kind: 'change-point', point: { ...point, label: entry.place.slice(0, 80), place: { kind: 'on-vehicle', forwardM, leftM, heightM } } },
  ];
}

/** Edits, after those that choose a piece which is a last resort, that write down who has agreed. */
export function consentEdits(use: PieceUse, gearId: string, consent: string, said: Said): readonly Edit[] {
  const { judged: _other, ...bare } = use;
  return [{ kind: 'change-use', useId: use.id, use: { ...bare, gearId, named: { lastResort: true, ...said, agreedBy: consent.trim() } } }];
}

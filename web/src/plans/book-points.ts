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
  const order = { used: 0, 'last-resort': 1, refused: 2 } as const;
  return entries.filter((entry) => entry.model.toLowerCase() === model?.toLowerCase()).sort((a, b) => order[a.kind] - order[b.kind]);
}

/**
 * Edits that hook up at a place of the book: the point goes there under its name, without a piece of the register, so that
 * somebody must still say what it holds. A last resort carries who of the owner's side has agreed.
 */
export function bookEdits(rig: Rig, use: PieceUse, entry: HookUpView, consent: string): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  if (entry.kind === 'refused' || point?.place.kind !== 'on-vehicle') return [];
  if (entry.kind === 'last-resort' && consent.trim() === '') return [];
  const { forwardM = point.place.forwardM, leftM = point.place.leftM, heightM = point.place.heightM } = entry;
  const label = entry.kind === 'last-resort' ? agreedLabel(entry.place, consent) : entry.place.slice(0, 80);
  return [
    { kind: 'choose-piece', useId: use.id, gearId: undefined },
    { kind: 'change-point', point: { ...point, label, place: { kind: 'on-vehicle', forwardM, leftM, heightM } } },
  ];
}

/** The name of a point that is a last resort, with who of the owner's side has agreed. */
export function agreedLabel(place: string, consent: string): string {
  const agreed = `, last resort, agreed by ${consent.trim()}`;
  return `${place.slice(0, 80 - agreed.length)}${agreed}`.slice(0, 80);
}

/** Edits, after those that choose a piece which is a last resort, that write down who has agreed. */
export function consentEdits(rig: Rig, use: PieceUse, consent: string): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const point = chain && pointOfChain(rig, chain);
  return point ? [{ kind: 'change-point', point: { ...point, label: agreedLabel(point.label, consent) } }] : [];
}

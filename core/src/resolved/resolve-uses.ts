import type { PieceUse, Rig } from '../rig/rig.ts';
import { type GearIndex, gearOf } from './gear-index.ts';
import type { ResolvedUse, Seat } from './parts.ts';

/** A use while its rig is being resolved: where it sits and what it may carry come as chains and lines do. */
export type OpenUse = { -readonly [K in keyof ResolvedUse]: ResolvedUse[K] };

/** Every use of a rig in the document's order, and by where it sits. */
export interface OpenUses {
  readonly all: readonly OpenUse[];
  readonly byId: ReadonlyMap<string, OpenUse>;
  readonly lines: readonly { readonly drive: OpenUse | undefined; readonly ropes: readonly OpenUse[] }[];
  readonly chains: readonly (readonly OpenUse[])[];
  readonly tied: readonly (readonly OpenUse[])[];
}

/** A seat that stands until the line, chain or back-anchor is made. */
const NOWHERE = { kind: 'chain' } as Seat;

/** Makes a use of every place for a piece, with its piece and its neighbours. */
export function resolveUses(rig: Rig, gear: GearIndex): OpenUses {
  const all: OpenUse[] = [];
  const add = (use: PieceUse): OpenUse => {
    const open: OpenUse = {
      index: all.length,
      use,
      piece: gearOf(use, gear),
      limit: undefined,
      seat: NOWHERE,
      inner: undefined,
      outer: undefined,
      round: undefined,
      lengthUnknown: false,
    };
    all.push(open);
    return open;
  };
  const lines = rig.lines.map(({ drive, ropes }) => ({
    drive: drive.kind === 'winch' ? add(drive.use) : undefined,
    ropes: ropes.map(add),
  }));
  const chains = rig.chains.map(({ pieces }) => inARow(pieces.map(add)));
  const tied = (rig.backAnchors ?? []).map(({ pieces }) => inARow(pieces.map(add)));
  return { all, byId: new Map(all.map((open) => [open.use.id, open])), lines, chains, tied };
}

function inARow(row: readonly OpenUse[]): readonly OpenUse[] {
  row.forEach((open, order) => {
    open.inner = row[order - 1];
    open.outer = row[order + 1];
  });
  return row;
}

import type { PieceUse, Rig } from './rig.ts';

/** The rig with every place of a piece empty: what a layout is. */
export function withoutPieces(rig: Rig): Rig {
  const { tools: _tools, ...rest } = rig;
  return {
    ...rest,
    chains: rig.chains.map((chain) => ({ ...chain, pieces: chain.pieces.map(empty) })),
    lines: rig.lines.map((line) => ({
      ...line,
      drive: line.drive.kind === 'winch' ? { ...line.drive, use: empty(line.drive.use) } : line.drive,
      ropes: line.ropes.map(empty),
    })),
    ...(rig.backAnchors && { backAnchors: rig.backAnchors.map((anchor) => ({ ...anchor, pieces: anchor.pieces.map(empty) })) }),
    ...(rig.lanyards && { lanyards: rig.lanyards.map(({ gearId: _slot, ...lanyard }) => lanyard) }),
    dampers: [],
  };
}

function empty({ gearId: _piece, ...use }: PieceUse): PieceUse {
  return use;
}

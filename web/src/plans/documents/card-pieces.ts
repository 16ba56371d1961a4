import {
  bodyOfChain,
  bodyOfPoint,
  type Chain,
  type Figure,
  type GearFacts,
  gearClasses,
  jointWords,
  legWords,
  length,
  lineWords,
  type PieceUse,
  type Rig,
  roleWords,
} from '@wainrope/core';

interface PiecesInput {
  readonly rig: Rig;
  readonly gear: ReadonlyMap<string, GearFacts>;
  readonly figure: (figure: Figure) => string;
}

export interface CardPiece {
  readonly tag: string;
  readonly name: string;
  /** Which end goes where, and which way round. */
  readonly way: string;
}

export interface CardGroup {
  readonly title: string;
  readonly pieces: readonly CardPiece[];
}

/**
 * The pieces in the order in which they are rigged: what ties vehicles back, then what hangs on anchors, on vehicles and in the
 * air, each from its body outward, then the lines with what is joined to them and the dampers.
 */
export function cardPieces(input: PiecesInput): readonly CardGroup[] {
  const { rig } = input;
  return [
    ...(rig.backAnchors ?? []).map(({ vehiclePointId, anchorPointId, pieces }) => ({
      title: `Tied back: ${labelAt(rig, anchorPointId)} to ${labelAt(rig, vehiclePointId)}`,
      pieces: pieces.map((use) => cardPiece(input, use, use.role === 'point' ? vehiclePointId : anchorPointId)),
    })),
    ...[...rig.chains].sort((a, b) => turn(rig, a) - turn(rig, b)).map((chain) => chainGroup(input, chain)),
    ...rig.lines.map((line) => lineGroup(input, line)),
  ].filter(({ pieces }) => pieces.length > 0);
}

const labelAt = (rig: Rig, pointId: string): string => bodyOfPoint(rig, pointId)?.label ?? 'a point that is missing';

/** Anchors that stand still first, then vehicles, then what hangs in the air. */
function turn(rig: Rig, chain: Chain): number {
  const body = bodyOfChain(rig, chain);
  return body === undefined ? 2 : body.kind === 'vehicle' ? 1 : 0;
}

function chainGroup(input: PiecesInput, chain: Chain): CardGroup {
  const body = bodyOfChain(input.rig, chain);
  const pointId = chain.from.kind === 'point' ? chain.from.pointId : undefined;
  return {
    title: body ? `On ${body.label}, from there outward` : `In the air, at the ${jointWords(input.rig, chain)}`,
    pieces: chain.pieces.map((use, index) => {
      const piece = cardPiece(input, use, pointId);
      const held = index === chain.pieces.length - 1 ? gripWords(input, chain) : undefined;
      return held === undefined ? piece : { ...piece, way: `${held}; ${piece.way}` };
    }),
  };
}

/** Where a chain that ends in a grip takes hold. */
function gripWords({ rig, figure }: PiecesInput, { to }: Chain): string | undefined {
  const grip = to?.kind === 'grip' ? rig.grips?.find(({ id }) => id === to.gripId) : undefined;
  return grip && `grips ${legWords(rig, { lineId: grip.lineId, strand: grip.strand })}, ${figure(length(grip.toEndM))} before its end`;
}

function lineGroup(input: PiecesInput, line: Rig['lines'][number]): CardGroup {
  const { rig, gear } = input;
  const named = (gearId: string | undefined) => gear.get(gearId ?? '')?.tag ?? 'a piece not chosen yet';
  const last = (chainId: string) => named(rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1)?.gearId);
  const over = line.via.map((bend) => (bend.kind === 'pulley' ? last(bend.chainId) : labelAt(rig, bend.pointId)));
  const end = line.to.kind === 'chain' ? `end to ${last(line.to.chainId)}` : 'end to the joint';
  const route = over.length > 0 ? `over ${over.join(', then ')}, ${end}` : end;
  const winch = line.drive.kind === 'winch' ? [line.drive.use] : [];
  const [first, ...more] = line.ropes;
  return {
    title: rig.lines.length > 1 ? `Line, ${lineWords(rig, line.id)}` : 'Line',
    pieces: [
      ...winch.map((use) => ({ ...labelled(input, use), way: 'drawn out by hand in free spool' })),
      ...(first ? [{ ...labelled(input, first), way: route }] : []),
      ...more.map((use) => ({ ...labelled(input, use), way: 'joined to the end of the line' })),
      ...rig.dampers
        .filter(({ lineId }) => lineId === line.id)
        .map(({ gearId, strand }) => ({
          tag: named(gearId),
          name: gear.get(gearId)?.name ?? 'damper',
          way: `on ${legWords(rig, { lineId: line.id, index: strand })}, by its heaviest hardware`,
        })),
    ],
  };
}

function labelled({ gear }: PiecesInput, { gearId, role, judged }: PieceUse): Omit<CardPiece, 'way'> {
  const piece = gear.get(gearId ?? '');
  const unlisted = judged ? `${roleWords[role]}, ${judged.person} answers for it` : `${roleWords[role]}: not chosen`;
  return { tag: piece?.tag ?? '–', name: piece?.name ?? unlisted };
}

function cardPiece(input: PiecesInput, use: PieceUse, pointId: string | undefined): CardPiece {
  const caught = (input.rig.lanyards ?? []).filter(({ useId }) => useId === use.id);
  const lanyards = caught.map(({ gearId }) => `lanyard ${input.gear.get(gearId ?? '')?.tag ?? 'not chosen yet'} on it`);
  return { ...labelled(input, use), way: [wayOf(input, use, pointId), ...lanyards].filter(Boolean).join('; ') };
}

/** Which way round a piece goes, by what it is and what it does. */
function wayOf({ rig, gear, figure }: PiecesInput, use: PieceUse, pointId: string | undefined): string {
  const piece = gear.get(use.gearId ?? '');
  const point = rig.points.find(({ id }) => id === pointId);
  if (use.role === 'tree-strap') {
    const height = point ? ` ${figure(length(point.place.heightM))} up` : '';
    return use.hitch === 'in-line' ? 'straight, flat, no twist' : `round it${height}, flat, both eyes outward`;
  }
  if (use.role === 'point') return pointWords(piece, point?.label);
  return piece ? gearClasses[piece.kind].laid : '';
}

/** Where a point sits, where its piece's own name does not say it. */
function pointWords(piece: GearFacts | undefined, label: string | undefined): string {
  return label === undefined || piece?.name.toLowerCase() === label.toLowerCase() ? 'bolts tight, no bent plate' : label;
}

import type { Body, Chain, Line, Rig } from './rig.ts';
import { bodyOfChain, bodyOfPoint } from './site-geometry.ts';

type Holds = { readonly kind: 'chain'; readonly chainId: string } | { readonly kind: 'joint'; readonly jointId: string };

/**
 * A line as people say it: “the line” where there is one, else by whose winch, hands or tow bar draw it (“Heron’s line”), and a rope
 * that nothing draws by what it hangs between (“the rope from Larch to Dunlin”). Lines that would be called alike are numbered.
 */
export function lineWords(rig: Rig, lineId: string): string {
  if (rig.lines.length === 1) return 'the line';
  const line = rig.lines.find(({ id }) => id === lineId);
  if (!line) return 'a line that is missing';
  const called = plainlyCalled(rig, line);
  const alike = rig.lines.filter((other) => plainlyCalled(rig, other) === called);
  return alike.length === 1 ? called : `${called}, no. ${alike.indexOf(line) + 1}`;
}

function plainlyCalled(rig: Rig, { drive, to }: Line): string {
  if (drive.kind !== 'held') return `${drawnBy(rig, drive)?.label ?? 'nobody'}’s line`;
  const [from, end] = [heldBy(rig, drive.end)?.label ?? 'a joint', heldBy(rig, to)?.label ?? 'a joint'];
  return from === end ? `the rope on ${from}` : `the rope from ${from} to ${end}`;
}

/** What a leg of a line is called beside others of that line. */
export type LegCalled = 'line' | 'winch leg' | 'hand leg' | 'return leg' | 'load leg' | 'anchor leg' | `leg ${number}`;

/**
 * A leg of a line, counted from the drive, 0 first: `index` goes up at each bend and each grip, as a report counts its strands;
 * `strand` at each bend alone, as a rig does.
 */
export type LegOfLine = { readonly lineId: string } & ({ readonly index: number } | { readonly strand: number });

/** What a leg is called beside others of its line: from the winch, from the hands, and the last by where it ends. */
export function legCalled(rig: Rig, leg: LegOfLine): LegCalled {
  const line = rig.lines.find(({ id }) => id === leg.lineId);
  if (!line) return 'line';
  const strand = 'strand' in leg ? leg.strand : strandOf(rig, line, leg.index);
  if (strand === 0 && line.drive.kind === 'winch') return 'winch leg';
  if (strand === 0 && line.drive.kind === 'hand') return 'hand leg';
  if (line.via.length === 0) return 'line';
  const end = strand === line.via.length && line.drive.kind !== 'held' ? heldBy(rig, line.to) : undefined;
  if (end === undefined || line.drive.kind === 'held') return `leg ${strand + 1}`;
  if (end === drawnBy(rig, line.drive)) return 'return leg';
  return end.id === rig.load.bodyId ? 'load leg' : 'anchor leg';
}

/** A leg within a sentence: “the winch leg”, “the line” where it has one leg, “leg 2 of Heron’s line”. */
export function legWords(rig: Rig, leg: LegOfLine): string {
  const called = legCalled(rig, leg);
  const line = lineWords(rig, leg.lineId);
  if (rig.lines.every(({ id, via }) => id !== leg.lineId || via.length === 0)) return line;
  if (called.startsWith('leg')) return `${called} of ${line}`;
  return rig.lines.length === 1 ? `the ${called}` : `the ${called} of ${line}`;
}

/** How many bends lie before a leg: a grip on the line begins no new one. */
function strandOf(rig: Rig, line: Line, index: number): number {
  let before = 0;
  for (let strand = 0; strand < line.via.length; strand++) {
    before += 1 + (rig.grips ?? []).filter((grip) => grip.lineId === line.id && grip.strand === strand).length;
    if (index < before) return strand;
  }
  return line.via.length;
}

/** The joint in the air that a chain starts from, as people call it. */
export function jointWords(rig: Rig, { from }: Chain): string {
  const joint = from.kind === 'joint' ? rig.joints?.find(({ id }) => id === from.jointId) : undefined;
  return joint?.label ?? 'joint';
}

/** A point as people call it, with whose it is: “Badger’s front point, left”, “strap on Larch”. */
export function pointWords(rig: Rig, pointId: string): string {
  const point = rig.points.find(({ id }) => id === pointId);
  const body = bodyOfPoint(rig, pointId)?.label;
  if (!point) return 'a point that is missing';
  if (body === undefined || point.label.includes(body)) return point.label;
  return `${body}’s ${point.label.charAt(0).toLowerCase()}${point.label.slice(1)}`;
}

/** Where a chain of pieces starts from, as people call it. */
export function chainWords(rig: Rig, chainId: string): string {
  const chain = rig.chains.find(({ id }) => id === chainId);
  if (!chain) return 'a joint that is missing';
  return chain.from.kind === 'point' ? pointWords(rig, chain.from.pointId) : `the ${jointWords(rig, chain)}`;
}

function drawnBy(rig: Rig, drive: Exclude<Line['drive'], { readonly kind: 'held' }>): Body | undefined {
  return drive.kind === 'tow' ? heldBy(rig, { kind: 'chain', chainId: drive.chainId }) : bodyOfPoint(rig, drive.pointId);
}

function heldBy(rig: Rig, held: Holds): Body | undefined {
  const chain = held.kind === 'chain' ? rig.chains.find(({ id }) => id === held.chainId) : undefined;
  return chain && bodyOfChain(rig, chain);
}

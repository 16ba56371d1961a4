import { roleWords } from '../gear/roles.ts';
import { canonicalJson } from '../policy/canonical-json.ts';
import { length, type RichText, rich } from '../quantity/format.ts';
import { usesOf } from './references.ts';
import type { Body, PieceUse, Rig } from './rig.ts';

/** Less than this is no move that a person would speak of, metres. */
const MOVED_M = 0.05;

/** What changed from one version of a rig to the next, in sentences that a person can read. `tagOf` names pieces. */
export function rigDifferences(before: Rig, after: Rig, tagOf: (gearId: string) => string): readonly RichText[] {
  return [
    ...bodyDifferences(before, after),
    ...pieceDifferences(before, after, tagOf),
    ...lineDifferences(before, after),
    ...partDifferences(before, after),
  ];
}

function bodyDifferences(before: Rig, after: Rig): readonly RichText[] {
  const old = new Map(before.bodies.map((body) => [body.id, body]));
  const now = new Set(after.bodies.map(({ id }) => id));
  return [
    ...before.bodies.filter(({ id }) => !now.has(id)).map(({ label }) => rich`${label} is gone`),
    ...after.bodies.flatMap((body) => {
      const was = old.get(body.id);
      return was ? changesOf(was, body) : [rich`${body.label} was added`];
    }),
  ];
}

function changesOf(was: Body, is: Body): readonly RichText[] {
  const moved = Math.hypot(is.xM - was.xM, is.yM - was.yM);
  const { xM: _ax, yM: _ay, ...rest } = was;
  const { xM: _bx, yM: _by, ...now } = is;
  const fields = Object.keys({ ...rest, ...now }).filter(
    (key) => canonicalJson(rest[key as keyof typeof rest] ?? null) !== canonicalJson(now[key as keyof typeof now] ?? null),
  );
  return [
    ...(moved > MOVED_M ? [rich`${is.label} moved ${length(moved)}`] : []),
    ...(fields.length > 0 ? [rich`${is.label}: ${fields.map(wordsOf).join(', ')} changed`] : []),
  ];
}

/** `trunkDiameterM` as `trunk diameter`. */
function wordsOf(field: string): string {
  return field
    .replace(/(Rad|Kg|M)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();
}

function pieceDifferences(before: Rig, after: Rig, tagOf: (gearId: string) => string): readonly RichText[] {
  const old = new Map(usesOf(before).map(({ use }) => [use.id, use]));
  return usesOf(after).flatMap(({ use }) => {
    const was = old.get(use.id);
    return was === undefined || was.gearId === use.gearId ? [] : [pieceWords(was, use, tagOf)];
  });
}

function pieceWords(was: PieceUse, use: PieceUse, tagOf: (gearId: string) => string): RichText {
  const role = roleWords[use.role];
  if (was.gearId === undefined) return rich`${tagOf(use.gearId ?? '')} chosen as ${role}`;
  if (use.gearId === undefined) return rich`${tagOf(was.gearId)} taken out as ${role}`;
  return rich`${tagOf(use.gearId)} in place of ${tagOf(was.gearId)} as ${role}`;
}

function lineDifferences(before: Rig, after: Rig): readonly RichText[] {
  const shape = (rig: Rig) =>
    rig.lines.map(({ id, drive, ropes, via, to }) => ({ id, drive: { ...drive, use: undefined }, ropes: ropes.length, via, to }));
  if (canonicalJson(shape(before)) === canonicalJson(shape(after))) return [];
  return [rich`The lines run otherwise: ${pathWords(after)}`];
}

function pathWords(rig: Rig): string {
  if (rig.lines.length === 0) return 'none is laid';
  const labelOf = (pointId: string | undefined) => {
    const bodyId = rig.points.find(({ id }) => id === pointId)?.bodyId;
    return rig.bodies.find(({ id }) => id === bodyId)?.label ?? 'a joint';
  };
  const ofChain = (chainId: string) => {
    const from = rig.chains.find(({ id }) => id === chainId)?.from;
    return from?.kind === 'point' ? labelOf(from.pointId) : 'a joint';
  };
  return rig.lines
    .map(({ via, to }) => {
      const bends = via.map((bend) => (bend.kind === 'pulley' ? ofChain(bend.chainId) : labelOf(bend.pointId)));
      const end = to.kind === 'chain' ? ofChain(to.chainId) : 'a joint';
      return [...bends.map((label) => `over ${label}`), `to ${end}`].join(', ');
    })
    .join('; ');
}

/** Parts that are told of as a whole. */
const PARTS: readonly (readonly [key: keyof Rig, words: string])[] = [
  ['ground', 'The slope of the ground changed'],
  ['situation', 'How the load sits changed'],
  ['load', 'What is to move, or how far, changed'],
  ['purpose', 'The purpose changed'],
  ['chosenPull', 'The chosen pull changed'],
  ['limiter', 'The line-pull limit that somebody states changed'],
  ['sharing', 'How the drives share the pull changed'],
  ['backAnchors', 'What ties a vehicle back changed'],
  ['dampers', 'The dampers changed'],
  ['lanyards', 'The lanyards changed'],
  ['features', 'What is drawn on the ground changed'],
  ['tools', 'The tools at hand changed'],
  ['answers', 'Answers given on the spot changed'],
];

function partDifferences(before: Rig, after: Rig): readonly RichText[] {
  return PARTS.filter(([key]) => canonicalJson(withoutPieces(before[key])) !== canonicalJson(withoutPieces(after[key]))).map(
    ([, words]) => rich`${words}`,
  );
}

/** A piece chosen inside a part is told of on its own. */
function withoutPieces(part: unknown): unknown {
  return JSON.parse(JSON.stringify(part ?? null, (key, value) => (key === 'gearId' ? undefined : value)));
}

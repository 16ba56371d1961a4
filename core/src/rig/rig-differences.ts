import { roleWords } from '../gear/classes/roles.ts';
import { length, type RichText, rich, smallLength } from '../quantity/format.ts';
import { keyWords } from '../quantity/key-words.ts';
import { type FactRow, factAt, type RigFactId, rigFacts } from './facts.ts';
import { usesOf } from './references.ts';
import type { Body, PieceUse, Rig } from './rig.ts';
import { type Leaf, leavesOf } from './rig-leaves.ts';

/** Moves below this are told in millimetres, metres. */
const SMALL_M = 0.05;

/**
 * What changed from one version of a rig to the next, in sentences that a person can read: every fact that the document holds.
 * `tagOf` names pieces.
 */
export function rigDifferences(before: Rig, after: Rig, tagOf: (gearId: string) => string): readonly RichText[] {
  const changes = changesBetween(before, after);
  const told = changes.flatMap((change) => sentence(change, { before, after, tagOf }));
  return [...comings(before, after), ...told];
}

/** One fact of one thing that changed. */
interface Change {
  /** Undefined for what other programs keep with a rig. */
  readonly fact: RigFactId | undefined;
  /** Of a body, a point or a use by id; empty where it is the rig's own. */
  readonly of: string;
}

interface Versions {
  readonly before: Rig;
  readonly after: Rig;
  readonly tagOf: (gearId: string) => string;
}

/** Facts of which a value came, went or is another, each once, in the order of the newer document. */
function changesBetween(before: Rig, after: Rig): readonly Change[] {
  const [was, is] = [leavesOf(before), leavesOf(after)];
  const changed = [...is].filter(([key, { value }]) => was.get(key)?.value !== value).map(([, leaf]) => leaf);
  const gone = [...was].filter(([key]) => !is.has(key)).map(([, leaf]) => leaf);
  const found = new Map<string, Change>();
  for (const { path, of } of [...changed, ...gone]) found.set(`${of} ${factAt(path)}`, { fact: factAt(path), of });
  const whole = cameOrWent(was, is);
  return [...found.values()].filter(({ of }) => !whole.has(of));
}

/** Bodies, points and uses that only one of two versions has: told as a whole, or by the way of the lines. */
function cameOrWent(was: ReadonlyMap<string, Leaf>, is: ReadonlyMap<string, Leaf>): ReadonlySet<string> {
  const things = (leaves: ReadonlyMap<string, Leaf>) => new Set([...leaves.values()].map(({ of }) => of));
  const [old, now] = [things(was), things(is)];
  return new Set([...old, ...now].filter((of) => of !== '' && !(old.has(of) && now.has(of))));
}

/** Bodies that came and went, and points that did so while the lines run as before. */
function comings(before: Rig, after: Rig): readonly RichText[] {
  const missing = <T extends { readonly id: string }>(from: readonly T[], others: readonly T[]) =>
    from.filter(({ id }) => others.every((other) => other.id !== id));
  return [
    ...missing(before.bodies, after.bodies).map(({ label }) => rich`${label} is gone`),
    ...missing(after.bodies, before.bodies).map(({ label }) => rich`${label} was added`),
    ...(pathWords(before) === pathWords(after)
      ? [
          ...missing(before.points, after.points).map(({ label }) => rich`The point “${label}” is gone`),
          ...missing(after.points, before.points).map(({ label }) => rich`The point “${label}” was added`),
        ]
      : []),
  ];
}

function sentence({ fact, of }: Change, versions: Versions): readonly RichText[] {
  if (fact === undefined) return [rich`What other programs keep with this rig changed`];
  const row: FactRow = rigFacts[fact];
  const { before, after } = versions;
  switch (row.of) {
    case 'body':
      return bodySentence(
        fact,
        row,
        before.bodies.find(({ id }) => id === of),
        after.bodies.find(({ id }) => id === of),
      );
    case 'point':
      return [rich`The point “${after.points.find(({ id }) => id === of)?.label ?? of}” ${row.told}`];
    case 'use':
      return useSentence(fact, row, of, versions);
    case 'rig':
      return [
        fact === 'line.way' && pathWords(before) !== pathWords(after)
          ? rich`The lines run differently: ${pathWords(after)}`
          : rich`${row.told}`,
      ];
    default: {
      const never: never = row.of;
      return never;
    }
  }
}

function bodySentence(fact: RigFactId, { told }: FactRow, was: Body | undefined, is: Body | undefined): readonly RichText[] {
  if (was === undefined || is === undefined) return [];
  if (fact !== 'body.stands') return [rich`${is.label}: ${told}`];
  const moved = Math.hypot(is.xM - was.xM, is.yM - was.yM);
  return [rich`${is.label} moved ${moved < SMALL_M ? smallLength(moved) : length(moved)}`];
}

function useSentence(fact: RigFactId, { told }: FactRow, useId: string, { before, after, tagOf }: Versions): readonly RichText[] {
  const useIn = (rig: Rig) => usesOf(rig).find(({ use }) => use.id === useId)?.use;
  const [was, use] = [useIn(before), useIn(after)];
  if (was === undefined || use === undefined) return [];
  if (fact === 'use.piece') return [pieceWords(was, use, tagOf)];
  const name = use.gearId === undefined ? '' : `${tagOf(use.gearId)} `;
  const other = fact === 'use.hitch' ? rich`${hitchWords(use)} in place of ${hitchWords(was)}` : undefined;
  return [rich`${name}as ${roleWords[use.role]}: ${told}${other ? rich`, ${other}` : ''}`];
}

const hitchWords = ({ hitch }: PieceUse): string => (hitch === undefined ? 'in a way not said' : keyWords(hitch));

function pieceWords(was: PieceUse, use: PieceUse, tagOf: (gearId: string) => string): RichText {
  const role = roleWords[use.role];
  if (was.gearId === undefined) return rich`${tagOf(use.gearId ?? '')} chosen as ${role}`;
  if (use.gearId === undefined) return rich`${tagOf(was.gearId)} taken out as ${role}`;
  return rich`${tagOf(use.gearId)} in place of ${tagOf(was.gearId)} as ${role}`;
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

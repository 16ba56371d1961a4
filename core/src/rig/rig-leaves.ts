import type { Rig } from './rig.ts';

/** One value of a rig's document. */
export interface Leaf {
  /** Path without numbers and ids, uses of pieces alike wherever they stand: `bodies.massKg`, `uses.hitch`. */
  readonly path: string;
  /** The body, point or use that it is of, by id; empty where it is the rig's own. */
  readonly of: string;
  readonly value: string | number | boolean | null;
}

/** Lists whose entries are things of their own. */
const THINGS: { readonly [path: string]: string } = {
  bodies: 'bodies',
  points: 'points',
  'chains.pieces': 'uses',
  'lines.ropes': 'uses',
  'lines.drive.use': 'uses',
  'backAnchors.pieces': 'uses',
};

interface Spot {
  /** Where it stands, entries of lists by id where they have one. */
  readonly key: string;
  readonly path: string;
  readonly of: string;
}

interface Fields {
  readonly [key: string]: unknown;
}
const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const idOf = (value: unknown): string | undefined => (isFields(value) && typeof value.id === 'string' ? value.id : undefined);

/** Every value of a rig by where it stands, so that two versions can be laid side by side however their lists are ordered. */
export function leavesOf(rig: Rig): ReadonlyMap<string, Leaf> {
  const leaves = new Map<string, Leaf>();
  collect(leaves, rig, { key: '', path: '', of: '' });
  return leaves;
}

function collect(leaves: Map<string, Leaf>, value: unknown, spot: Spot): void {
  if (Array.isArray(value)) collectList(leaves, value, spot);
  else if (isFields(value)) for (const [key, inner] of Object.entries(value)) collectField(leaves, inner, key, spot);
  else if (typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' || value === null)
    leaves.set(spot.key, { path: spot.path, of: spot.of, value });
}

function collectField(leaves: Map<string, Leaf>, value: unknown, name: string, { key, path, of }: Spot): void {
  const inner = path === '' ? name : `${path}.${name}`;
  const thing = Array.isArray(value) ? undefined : THINGS[inner];
  if (thing === undefined) collect(leaves, value, { key: `${key}.${name}`, path: inner, of });
  else {
    collect(leaves, value, { key: `${thing}[${idOf(value)}]`, path: thing, of: idOf(value) ?? '' });
    leaves.set(`${key}.${name}#`, { path: inner, of: '', value: idOf(value) ?? null });
  }
}

function collectList(leaves: Map<string, Leaf>, list: readonly unknown[], { key, path, of }: Spot): void {
  const thing = THINGS[path];
  list.forEach((entry, index) => {
    const id = idOf(entry) ?? String(index);
    // A piece that moves to another place of the rig is the same use, so its key does not say where it stands; its order does.
    if (thing !== undefined) collect(leaves, entry, { key: `${thing}[${id}]`, path: thing, of: id });
    else collect(leaves, entry, { key: `${key}[${id}]`, path, of });
    if (thing === 'uses' || path === 'lines') leaves.set(`${key}#${index}`, { path, of: '', value: id });
  });
}

import { figurePath } from './adopted-figures.ts';
import type { Policy } from './policy.ts';

/** One value in which two policies differ; `path` as in the file. */
export interface PolicyDifference {
  readonly path: string;
  readonly from: unknown;
  readonly to: unknown;
}

/** Every value in which a policy differs from another; sources, names and ids are not values, and a figure of the team's own is one. */
export function policyDifferences(from: Policy, to: Policy): readonly PolicyDifference[] {
  return walk(plain(from), plain(to), '').filter(({ path }) => path !== 'id' && path !== 'name');
}

/** Figures of the team's own by what they are figures of: the pulls behind one are evidence, no value. */
const plain = ({ ownFigures, ...tables }: Policy) => ({
  ...tables,
  ...Object.fromEntries(ownFigures.map((figure) => [figurePath(figure), figure.share])),
});

function walk(from: unknown, to: unknown, path: string): readonly PolicyDifference[] {
  if (!isBranch(from) || !isBranch(to)) return Object.is(from, to) ? [] : [{ path, from, to }];
  const keys = [...new Set([...Object.keys(from), ...Object.keys(to)])].filter((key) => key !== 'source');
  return keys.flatMap((key) => walk(from[key], to[key], path === '' ? key : `${path}.${key}`));
}

function isBranch(value: unknown): value is { readonly [key: string]: unknown } {
  return typeof value === 'object' && value !== null;
}

/** One thing a team decides: where it stands in the policy, and its value. */
export interface PolicyLeaf {
  readonly path: string;
  readonly value: number | boolean | string | readonly number[] | readonly CurvePoint[];
  readonly source?: string;
}

export interface CurvePoint {
  readonly ratio: number;
  readonly value: number;
}

type Tree = { readonly [key: string]: unknown };

const NOT_SHOWN = ['id', 'name', 'severities', 'ownFigures'];

/** Every figure, school and curve of a policy, by path. */
export function policyLeaves(policy: object): readonly PolicyLeaf[] {
  return Object.entries(policy).flatMap(([key, value]) => (NOT_SHOWN.includes(key) ? [] : walk(value, key, undefined)));
}

function walk(value: unknown, path: string, source: string | undefined): readonly PolicyLeaf[] {
  if (typeof value === 'number' || typeof value === 'boolean' || typeof value === 'string' || Array.isArray(value))
    return [{ path, value: value as PolicyLeaf['value'], ...(source !== undefined && { source }) }];
  const tree = value as Tree;
  const own = typeof tree.source === 'string' ? tree.source : undefined;
  if (typeof tree.value === 'number' && own !== undefined) return [{ path, value: tree.value, source: own }];
  return Object.entries(tree).flatMap(([key, entry]) => (key === 'source' ? [] : walk(entry, `${path}.${key}`, own)));
}

/** The same policy with one leaf changed; its source becomes the team's own. */
export function withLeaf<P extends object>(policy: P, path: string, value: PolicyLeaf['value'], source: string): P {
  const [key = '', ...rest] = path.split('.');
  const tree = policy as Tree;
  const now = tree[key];
  if (rest.length > 0) return { ...policy, [key]: withLeaf(now as object, rest.join('.'), value, source) };
  if (typeof now === 'object' && now !== null && !Array.isArray(now) && 'value' in now) return { ...policy, [key]: { value, source } };
  return 'source' in tree ? { ...policy, [key]: value, source } : { ...policy, [key]: value };
}

/** A leaf as it is typed. */
export function typedLeaf(value: PolicyLeaf['value']): string {
  if (!Array.isArray(value)) return typeof value === 'number' ? String(rounded(value)) : String(value);
  return value
    .map((entry: number | CurvePoint) => (typeof entry === 'number' ? rounded(entry) : `${rounded(entry.ratio)}: ${rounded(entry.value)}`))
    .join('; ');
}

const rounded = (value: number): number => Number(value.toPrecision(6));

export type ReadLeaf = { readonly ok: true; readonly value: PolicyLeaf['value'] } | { readonly ok: false; readonly message: string };

/** Reads what was typed for a leaf of the same kind as before. */
export function readLeaf(before: PolicyLeaf['value'], typed: string): ReadLeaf {
  if (typeof before === 'string' || typeof before === 'boolean')
    return { ok: true, value: typeof before === 'boolean' ? typed === 'true' : typed };
  if (typeof before === 'number') return number(typed);
  const parts = typed.split(';').map((part) => part.trim());
  const values: (number | CurvePoint)[] = [];
  for (const part of parts) {
    const [first = '', second] = part.split(':');
    const [a, b] = [number(first), second === undefined ? undefined : number(second)];
    if (!a.ok) return a;
    if (b && !b.ok) return b;
    values.push(b ? { ratio: a.value, value: b.value } : a.value);
  }
  return { ok: true, value: values as PolicyLeaf['value'] };
}

function number(typed: string): { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string } {
  const value = Number(typed.trim().replace(',', '.'));
  return typed.trim() !== '' && Number.isFinite(value) ? { ok: true, value } : { ok: false, message: `“${typed}” is not a number.` };
}

import type { Policy } from './policy.ts';
import type { PolicyDifference } from './policy-differences.ts';

export interface RecordedPolicy {
  /** The same figures; whoever reads one of them leaves its path behind. */
  readonly policy: Policy;
  /** What has been read so far: paths as in the file, sorted. A table of which somebody asked what is in it stands as a whole. */
  readonly read: () => readonly string[];
}

/** A policy that remembers which of its figures were read, also of those that were looked for and are not there. */
export function recordedPolicy(policy: Policy): RecordedPolicy {
  const paths = new Set<string>();
  return { policy: watched(JSON.parse(JSON.stringify(policy)) as Policy, '', paths), read: () => [...paths].sort() };
}

function watched<T extends object>(table: T, path: string, paths: Set<string>): T {
  const inner = new Map<PropertyKey, unknown>();
  const below = (key: PropertyKey) => (path === '' ? String(key) : `${path}.${String(key)}`);
  return new Proxy(table, {
    get(target, key, receiver) {
      if (inner.has(key)) return inner.get(key);
      const value: unknown = Reflect.get(target, key, receiver);
      if (typeof key === 'symbol' || typeof value === 'function') return value;
      if (typeof value !== 'object' || value === null) {
        paths.add(Array.isArray(target) && key === 'length' ? path : below(key));
        return value;
      }
      const deeper = watched(value, below(key), paths);
      inner.set(key, deeper);
      return deeper;
    },
    has(target, key) {
      paths.add(below(key));
      return Reflect.has(target, key);
    },
    ownKeys(target) {
      paths.add(path);
      return Reflect.ownKeys(target);
    },
  });
}

/** Whether a judgement that has read these paths can come out otherwise where a policy differs so. */
export function isTouched(read: readonly string[], differences: readonly PolicyDifference[]): boolean {
  return differences.some(({ path }) => read.some((known) => reaches(known, path) || reaches(path, known)));
}

const reaches = (whole: string, part: string) => whole === '' || whole === part || part.startsWith(`${whole}.`);

/** A field that is there only where its column holds something. */
export const given = <K extends string, V>(key: K, value: V | null | undefined) =>
  value === null || value === undefined ? {} : ({ [key]: value } as { [P in K]: V });

/** Values gathered under a key of each, in the order in which they come. */
export function gathered<T, V>(rows: readonly T[], keyOf: (row: T) => string, entryOf: (row: T) => V): ReadonlyMap<string, V[]> {
  const groups = new Map<string, V[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(entryOf(row));
    else groups.set(keyOf(row), [entryOf(row)]);
  }
  return groups;
}

/** Of one row more than is shown: what is shown, and the key of its last where there is more. */
export function pageOf<T>(
  rows: readonly T[],
  limit: number,
  keyOf: (row: T) => string,
): { readonly shown: readonly T[]; readonly next?: string } {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { shown, ...(rows.length > limit && last !== undefined && { next: keyOf(last) }) };
}

/** Rows a statement; PostgreSQL takes at most 65,535 parameters. */
const CHUNK = 500;

/** Entries in parts that one statement can take. */
export function chunks<T>(entries: readonly T[]): readonly (readonly T[])[] {
  return Array.from({ length: Math.ceil(entries.length / CHUNK) }, (_, index) => entries.slice(index * CHUNK, (index + 1) * CHUNK));
}

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

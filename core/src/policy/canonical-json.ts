/** JSON with keys in order, so that equal content gives equal text wherever it was made. */
export function canonicalJson(value: unknown): string {
  if (value === undefined) return 'null';
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  const entries = Object.entries(value).filter(([, entry]) => entry !== undefined);
  entries.sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([key, entry]) => `${JSON.stringify(key)}:${canonicalJson(entry)}`).join(',')}}`;
}

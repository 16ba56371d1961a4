/** Words that people join by a hyphen; any other is taken for the key of something. */
const HYPHENATED = new Set(
  `back-anchor back-anchored cross-member cross-pin dug-in field-manual figure-of-eight half-way hitch-receiver hook-up line-pull
  free-spool load-securing make-up off-centre re-spool re-spooled rope-lock run-up run-ups self-recovery set-up side-by-side single-line stand-in
  stretch-rope tie-down`.split(/\s+/),
);
const UNITS = new Set(['kN', 'kJ', 'kPa']);

const match = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([word]) => word);

/** What no person would write: keys, ids, dates as machines write them, figures with all their digits, and what a program says of itself. */
export const unspeakable = (text: string): readonly string[] => [
  ...match(text, /\b[a-z]+[a-z0-9]*[A-Z]\w*/g).filter((word) => !UNITS.has(word)),
  ...match(text, /[\w-]*[a-z]-[a-z][\w-]*/g).filter((word) => !HYPHENATED.has(word.toLowerCase()) && !/\d/.test(word)),
  ...match(text, /\b[0-9a-f]{8}-[0-9a-f]{4}-\S*/g),
  ...match(text, /\b\d{4}-\d{2}-\d{2}\b/g),
  ...match(text, /\d\.\d{7,}/g),
  ...match(text, /\bundefined\b|\bNaN\b|\[object|\bnull\b/g),
];

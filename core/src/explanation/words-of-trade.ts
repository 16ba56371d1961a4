/** How the words of the glossary that a reader may not know stand in sentences; common words that mean what they say are not among them. */
const FORMS: { readonly [form: string]: string } = {
  advantage: 'advantage',
  'anchor leg': 'anchor-leg',
  'back-anchor': 'back-anchor',
  'back-anchored': 'back-anchor',
  basket: 'basket',
  bridle: 'bridle',
  choked: 'choked',
  damper: 'damper',
  dampers: 'damper',
  'danger zone': 'danger-zone',
  'danger zones': 'danger-zone',
  'design factor': 'design-factor',
  'greatest pull': 'greatest-pull',
  lanyard: 'lanyard',
  'line pull': 'line-pull',
  'line-pull limit': 'line-pull-limit',
  'load leg': 'load-leg',
  'load path': 'load-path',
  mbs: 'mbs',
  'breaking strength': 'mbs',
  'planned pull': 'planned-pull',
  quarantine: 'quarantine',
  'rated pull': 'rated-pull',
  redirect: 'redirect',
  'return leg': 'return-leg',
  'run-up': 'run-up',
  'safety lanyard': 'lanyard',
  'stretch rope': 'stretch-rope',
  'stretch ropes': 'stretch-rope',
  'winch leg': 'winch-leg',
  wll: 'wll',
  'working load limit': 'wll',
  'working limit': 'working-limit',
  wraps: 'wraps',
};

/** The longest first, so that “line-pull limit” is not found as “line pull”. */
const ANY = new RegExp(
  `(?<![\\w-])(?:${Object.keys(FORMS)
    .sort((a, b) => b.length - a.length)
    .join('|')})(?![\\w-])`,
  'gi',
);

/** A stretch of a text; where it is a word of the trade, the id under which the glossary tells it. */
export interface WordPart {
  readonly text: string;
  readonly wordId?: string;
}

/** A text in stretches, each word of the trade by itself where it first stands. The stretches joined are the text. */
export function wordParts(text: string): readonly WordPart[] {
  const parts: WordPart[] = [];
  const told = new Set<string>();
  let from = 0;
  for (const { 0: found, index } of text.matchAll(ANY)) {
    const wordId = FORMS[found.toLowerCase()];
    if (wordId === undefined || told.has(wordId)) continue;
    told.add(wordId);
    if (index > from) parts.push({ text: text.slice(from, index) });
    parts.push({ text: found, wordId });
    from = index + found.length;
  }
  if (from < text.length) parts.push({ text: text.slice(from) });
  return parts;
}

/** The ids of the glossary that texts lead to. */
export const wordIds: readonly string[] = [...new Set(Object.values(FORMS))];

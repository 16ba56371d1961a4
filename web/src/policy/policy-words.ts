import { figureOfPath, keyWords, useWords } from '@wainrope/core';
import { depthWords } from '../fields/situation-words.ts';
import { LEAF_LABELS } from './leaf-labels.ts';
import { SCHOOL_LABELS } from './school-words.ts';

/** What a group of the policy decides, and why its default is the careful reading, in a line. */
export const groupWords: { readonly [group: string]: { readonly title: string; readonly why: string } } = {
  designFactors: {
    title: 'Design factors',
    why: 'Working limit = breaking strength ÷ factor; one table for the whole team, whatever each maker marks by.',
  },
  makerFactors: { title: 'Factors makers mark by', why: 'Used to estimate a breaking strength where only a working limit is marked.' },
  trustMarkedWll: { title: 'Marked working limits', why: 'Not trusted alone: the lower of the mark and the team’s own factor counts.' },
  condition: { title: 'Condition', why: 'A worn piece carries less; one that was never inspected counts as worn.' },
  wetPolyamide: { title: 'Wet polyamide', why: 'Polyamide loses strength when it is wet.' },
  terminations: { title: 'Ends and knots', why: 'A rope is as strong as how its end was made up.' },
  hmpeTermination: { title: 'Knots in HMPE', why: 'The slippery fibre holds knots worse than any other.' },
  strapThroughStrap: { title: 'Strap through strap', why: 'A tight turn of webbing on webbing cuts strength.' },
  bends: { title: 'Bends', why: 'Share of strength that stays over a pulley or pin, by its diameter over the rope’s (ratio: share).' },
  friction: { title: 'Friction', why: 'By wrap angle for what the rig can move; the unfavourable bound for strength.' },
  effort: { title: 'Pull needed', why: 'Every school is shown as a band; the plan goes by the highest of the first three.' },
  winch: { title: 'Winch and drum', why: 'Wraps to leave: 5 steel, 10 synthetic, unless the maker says otherwise.' },
  limits: { title: 'Checks', why: 'Both are checked: the estimate within working limits, the greatest pull within a margin to breaking.' },
  tree: { title: 'Trees', why: 'Low strap, live and upright tree; a higher strap shows the lost strength.' },
  care: { title: 'Age and zones', why: 'Danger zone: 1.5 × the longest tensioned leg; soft goods are retired after ten years.' },
  exposure: { title: 'Exposure', why: 'Share of the inspection interval that is left after mud, sand, salt, wet or sun.' },
  washing: { title: 'Washing', why: 'Washed within so many days, exposure no longer counts.' },
  wear: { title: 'Wear', why: 'A trend over three readings or more brings the next inspection forward before it meets the limit.' },
  hold: { title: 'Vehicles that hold', why: 'Out of gear, all brakes, chocks; what the wheels grip decides when it slides.' },
  anchors: { title: 'Anchors in the ground', why: 'What pickets, logs and rated anchors hold, by ground.' },
  electric: { title: 'Electric winch', why: '30 s on, 60 s off; bursts shortened by the heat model near stall.' },
  hand: { title: 'Pulling by hand', why: 'What one person pulls on a rope, standing, and carries to it; how fast a haul goes.' },
  loads: { title: 'Loads that are dragged', why: 'Friction of what slides over the ground.' },
  sharing: { title: 'Sharing', why: 'Parallel straps never share evenly: each is checked for 0.6 of the load.' },
  stretch: { title: 'Stretch ropes', why: 'Offered with its peak force beside the winch plan; fifty pulls, five minutes’ rest.' },
  pull: {
    title: 'The pull, metre by metre',
    why: 'What a stuck load asks for falls as it breaks away; a hook, a joint or a second pulley is kept so far from what it is drawn to.',
  },
  runUp: {
    title: 'Run-ups',
    why: 'No faster than a peak within every limit, and with a quarter more speed a margin of 1.5 to breaking; no run-up far off the heading.',
  },
  schools: {
    title: 'Where practitioners disagree',
    why: 'The careful reading of each is the default; whatever is chosen shows in figures, findings and steps of the card.',
  },
  judging: {
    title: 'What tells one thing from another',
    why: 'When a bend is tight, a point off-centre, an edge sharp; and the guesses for a vehicle whose papers are not at hand.',
  },
  usual: {
    title: 'Usual sizes of what is not on record',
    why: 'Somebody is asked only where the least and the greatest of the usual do not end alike.',
  },
  respool: { title: 'Spooling', why: 'Tension under which a line is spooled, so that turns do not dive.' },
  zones: { title: 'Zones and reach', why: 'Corridor beside a tensioned strand, and how far a wireless remote is trusted.' },
};

const UNITS: readonly (readonly [RegExp, string])[] = [
  [/MPerS2$/, 'm/s²'],
  [/JPerK$/, 'J/K'],
  [/KPerW$/, 'K/W'],
  [/Deg$/, '°'],
  [/Months$/, 'months'],
  [/Years$/, 'years'],
  [/Days$/, 'days'],
  [/Min$/, 'min'],
  [/Ohm$/, 'Ω'],
  [/Kg$/, 'kg'],
  [/Pa$/, 'Pa'],
  [/M2$/, 'm²'],
  [/C$/, '°C'],
  [/N$/, 'N'],
  [/M$/, 'm'],
  [/S$/, 's'],
];

/** A leaf's label and unit: what it is called, else the words of its keys within its group. */
export function leafWords(path: string): { readonly label: string; readonly unit: string } {
  const keys = path.split('.').slice(1);
  const unit = keys.map((key) => UNITS.find(([ending]) => ending.test(key) && key.length > 1)?.[1]).find(Boolean) ?? '';
  return { label: labelOf(path), unit };
}

const FACTORS = ['designFactors', 'makerFactors'];
const uses: { readonly [key: string]: string } = useWords;

function labelOf(path: string): string {
  const own = SCHOOL_LABELS[path] ?? LEAF_LABELS[path];
  if (own !== undefined) return own;
  const keys = path.split('.');
  const [group = '', key = ''] = keys;
  if (FACTORS.includes(group)) return capital(uses[key] ?? spaced(key));
  for (let length = keys.length - 1; length > 1; length--) {
    const table = LEAF_LABELS[keys.slice(0, length).join('.')];
    if (table !== undefined) return `${table}, ${keys.slice(length).map(spaced).join(', ')}`;
  }
  return capital(keys.slice(1).map(spaced).join(', ') || 'value');
}

export const capital = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

/** A key as words; picket lines and slopes keep their signs. */
const spaced = (key: string) =>
  /^\d/.test(key) ? key : /[A-Z]/.test(key) ? key.replace(/([a-z])([A-Z0-9])/g, '$1 $2').toLowerCase() : keyWords(key);

/** A difference by its path, as the page names it: group, then row. */
export function changeWords(path: string): string {
  const own = figureOfPath(path);
  if (own) return `The team’s own figure, ${own.machine}, ${keyWords(own.surface)}, ${depthWords(own.depth)}`;
  const leaf = path.replace(/\.value$/, '');
  const group = groupWords[leaf.split('.')[0] ?? '']?.title ?? leaf;
  return leaf.includes('.') ? `${group}, ${leafWords(leaf).label}` : group;
}

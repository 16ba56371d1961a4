import type { GearClass } from '../classes/gear-classes.ts';

/** What may be of several classes: each with the words that settle it where they stand beside. A word alone is asked about. */
export interface OpenWord {
  readonly word: string;
  readonly classes: readonly { readonly kind: GearClass; readonly beside: readonly string[] }[];
}

const STRAPS: OpenWord['classes'] = [
  { kind: 'tree-strap', beside: ['tree', 'trunk'] },
  { kind: 'stretch-rope', beside: ['kinetic', 'snatch', 'stretch', 'elastic', 'dynamic'] },
  { kind: 'static-strap', beside: ['static', 'tow', 'towing', 'drag'] },
  { kind: 'winch-extension-strap', beside: ['extension', 'extender'] },
  { kind: 'load-securing-strap', beside: ['ratchet', 'lashing', 'cargo', 'securing'] },
];
const WINCH_LINES: OpenWord['classes'] = [
  { kind: 'winch-line-synthetic', beside: ['synthetic', 'hmpe', 'uhmwpe', 'fibre', 'fiber', 'plaited', 'braided', 'textile'] },
  { kind: 'winch-line-steel', beside: ['steel', 'wire', 'galvanised', 'galvanized', 'iwrc'] },
];
const ROPES: OpenWord['classes'] = [
  ...WINCH_LINES,
  { kind: 'stretch-rope', beside: ['kinetic', 'snatch', 'stretch', 'elastic', 'dynamic', 'nylon'] },
  { kind: 'line-extension', beside: ['extension', 'extender'] },
];

export const openWords: readonly OpenWord[] = [
  ...['strap', 'strop', 'sling', 'round sling', 'recovery strap', 'webbing', 'webbing strap', 'nylon strap'].map((word) => ({
    word,
    classes: STRAPS,
  })),
  ...['winch rope', 'winch line', 'winch rope hook'].map((word) => ({ word, classes: WINCH_LINES })),
  ...['rope', 'line', 'cable', 'recovery rope', 'tow rope', 'towing rope', 'recovery line'].map((word) => ({ word, classes: ROPES })),
  {
    word: 'extension',
    classes: [
      { kind: 'line-extension', beside: ['rope', 'line', 'synthetic'] },
      { kind: 'winch-extension-strap', beside: ['strap', 'webbing'] },
    ],
  },
  {
    word: 'ring',
    classes: [
      { kind: 'recovery-ring', beside: ['recovery', 'pulley', 'snatch', 'friction'] },
      { kind: 'closed-link', beside: ['link'] },
    ],
  },
  {
    word: 'd ring',
    classes: [
      { kind: 'steel-shackle', beside: ['shackle', 'pin'] },
      { kind: 'recovery-point', beside: ['mount', 'bumper', 'chassis'] },
    ],
  },
  {
    word: 'anchor',
    classes: [
      { kind: 'ground-anchor', beside: ['ground', 'earth', 'land'] },
      { kind: 'tree-strap', beside: ['tree'] },
    ],
  },
];

/** What sounds like a class and is none of them: it is asked about, never guessed. */
export const otherThings: readonly string[] = [
  'hand winch',
  'lever hoist',
  'lever winch',
  'chain hoist',
  'chain block',
  'chain saw oil',
  'come along',
  'snow chain',
  'tyre chain',
  'tire chain',
  'mud chain',
  'tow bar',
  'tow ball',
  'jump lead',
  'jumper cable',
  'winch control',
  'climbing rope',
  'washing line',
  'fire blanket',
  'first aid',
  'air line',
  'brake line',
  'jack stand',
  'jack plate',
  'jack pad',
  'jack base',
  'quick link',
  'snap hook',
  's hook',
  'grab hook',
  'key ring',
];

/** Behind a word for a piece, these make it something that belongs to one: a cover of a winch is no winch. */
export const belongings: readonly string[] = [
  'adapter',
  'adaptor',
  'bag',
  'bolt',
  'box',
  'bracket',
  'case',
  'cleaner',
  'clip',
  'controller',
  'control',
  'cover',
  'fairlead',
  'grease',
  'guard',
  'hanger',
  'holder',
  'inspection',
  'isolator',
  'keeper',
  'kit',
  'label',
  'lead',
  'lube',
  'manual',
  'motor',
  'oil',
  'pin',
  'plate',
  'pouch',
  'rack',
  'remote',
  'sleeve',
  'solenoid',
  'spacer',
  'spare',
  'switch',
  'tag',
  'tube',
  'washer',
];

import type { GearClass } from '../gear/gear-classes.ts';
import type { InspectionSheet, SheetMeasure, SheetPoint } from './inspection-sheet.ts';

const TRADE = 'usual trade figure; the maker’s instructions win';

const slugOf = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
/** To look at; a fault is weighed with the rest. */
const look = (words: string): SheetPoint => ({ id: slugOf(words), look: words, immediate: false });
/** To look at; a fault takes the piece out of use at once. */
const stop = (words: string): SheetPoint => ({ id: slugOf(words), look: words, immediate: true });

type Limit = SheetMeasure['limit'];
const loss = (value: number): Limit => ({ kind: 'loss', value });
const growth = (value: number): Limit => ({ kind: 'growth', value });
const atMost = (value: number): Limit => ({ kind: 'at-most', value });

const measure = (label: string, quantity: SheetMeasure['quantity'], limit: Limit, newFrom?: string): SheetMeasure => ({
  id: slugOf(label),
  label,
  quantity,
  limit,
  ...(newFrom !== undefined && { newFrom }),
  source: TRADE,
});

const sheet = (everyMonths: number, points: readonly SheetPoint[], measures: readonly SheetMeasure[] = []): InspectionSheet => ({
  everyMonths,
  points,
  measures,
});

const legible = look('Marks can be read');
const synthetic = [
  stop('Cut strands'),
  look('Broken filaments, fluff'),
  look('Flattened lengths'),
  stop('Glazed or melted by heat'),
  look('Stiff lengths, grit inside'),
  stop('Splices slipped'),
  look('Faded by sun'),
];
const webbing = [
  stop('Cuts in the edge or the face'),
  stop('Stitching pulled or broken'),
  look('Eyes worn'),
  stop('Melted or hard spots'),
  look('Grit in the weave'),
  look('Label there and legible'),
];
const webbingMeasures = [measure('Edge cut, share of the width', 'share', atMost(0.05)), measure('Stitch rows broken', 'count', atMost(0))];
const present = sheet(12, [look('There, and the count is right'), look('Whole and working')]);
const steelFitting = [stop('Cracks'), stop('Bent, twisted or stretched'), look('Nicks and gouges'), look('Rust pitting'), legible];
const stretched = [...webbing, stop('Core showing'), look('Eye coating worn'), look('Stiff or glazed sections')];

/** What every class is looked over for, by the careful reading of the trade; a team may change it by new versions. */
export const standardSheets: { readonly [K in GearClass]: InspectionSheet } = {
  'steel-shackle': sheet(
    12,
    [
      stop('Cracks'),
      stop('Bent pin'),
      stop('Bow stretched or spread'),
      look('Nicks and gouges'),
      stop('Pin belongs to this shackle'),
      look('Rust pitting'),
      legible,
      look('Pin seats fully by hand'),
    ],
    [
      measure('Bow diameter where worn most', 'small-length', loss(0.1), 'bowDiameterM'),
      measure('Pin diameter where worn most', 'small-length', loss(0.1), 'pinDiameterM'),
      measure('Inside width at the pin', 'small-length', growth(0.05), 'insideWidthM'),
    ],
  ),
  'soft-shackle': sheet(
    6,
    [
      stop('Cut strands'),
      look('Fluffed strands'),
      look('Glazed or flat lengths'),
      stop('Melted fibre'),
      stop('Knot drawn in or rolled'),
      look('Noose worn'),
      look('Grit inside'),
      look('Faded by sun'),
    ],
    [measure('Strands cut', 'count', atMost(0)), measure('Abrasion, share of the strands', 'share', atMost(0.25))],
  ),
  'winch-line-synthetic': sheet(6, synthetic, [
    measure('Rope diameter where thinnest', 'small-length', loss(0.1), 'ropeDiameterM'),
    measure('Strands cut', 'count', atMost(0)),
    measure('Abrasion, share of the strands', 'share', atMost(0.25)),
  ]),
  'winch-line-steel': sheet(
    12,
    [stop('Kinks or birdcage'), stop('Crushed lengths'), look('Burrs'), look('Rust'), stop('End fitting moved or cracked')],
    [
      measure('Rope diameter where thinnest', 'small-length', loss(0.07), 'ropeDiameterM'),
      measure('Broken wires in one lay', 'count', atMost(6)),
      measure('Broken wires in one strand of a lay', 'count', atMost(2)),
    ],
  ),
  'line-extension': sheet(
    6,
    [...synthetic, stop('End thimbles loose or cracked')],
    [
      measure('Rope diameter where thinnest', 'small-length', loss(0.1), 'ropeDiameterM'),
      measure('Strands cut', 'count', atMost(0)),
      measure('Abrasion, share of the strands', 'share', atMost(0.25)),
    ],
  ),
  'snatch-block': sheet(
    12,
    [
      stop('Cheeks bent or not closing'),
      look('Sheave wobbles'),
      stop('Sharp edge in the groove'),
      stop('Pin worn or loose'),
      look('Bearing seized or rough'),
      legible,
    ],
    [measure('Groove wear, share of the rope diameter', 'share', atMost(0.05))],
  ),
  'recovery-ring': sheet(12, [
    stop('Burr that catches a glove, in bore or groove'),
    look('Nicks'),
    look('Coating worn'),
    stop('Lips that keep the line in are missing'),
    legible,
  ]),
  'tree-strap': sheet(6, webbing, webbingMeasures),
  'stretch-rope': sheet(6, stretched, [measure('Length at rest', 'length', growth(0.05), 'lengthM')]),
  'static-strap': sheet(6, webbing, webbingMeasures),
  'winch-extension-strap': sheet(6, webbing, webbingMeasures),
  bridle: sheet(6, webbing, webbingMeasures),
  chain: sheet(
    12,
    [stop('Stretched links'), stop('Gouged or twisted links'), stop('Cracks'), look('Rust pitting'), legible],
    [
      measure('Link diameter where worn most', 'small-length', loss(0.1), 'linkDiameterM'),
      measure('Length', 'length', growth(0.03), 'lengthM'),
    ],
  ),
  'winch-hook': sheet(
    12,
    [stop('Cracks'), stop('Latch does not close or spring back'), stop('Lock pin missing'), look('Nicks and gouges'), legible],
    [measure('Throat', 'small-length', growth(0.05), 'throatM'), measure('Twist', 'angle-deg', atMost(10))],
  ),
  'closed-link': sheet(
    12,
    [...steelFitting, stop('Pin missing or loose')],
    [measure('Bore', 'small-length', growth(0.05), 'boreDiameterM'), measure('Twist', 'angle-deg', atMost(10))],
  ),
  'rope-lock-plate': sheet(
    12,
    [...steelFitting, stop('Sharp edge where the rope lies'), stop('Lock pin missing')],
    [measure('Bore', 'small-length', growth(0.05), 'boreDiameterM')],
  ),
  'line-fitting': present,
  carabiner: sheet(
    12,
    [stop('Cracks'), stop('Gate does not close by itself'), stop('Lock does not hold'), look('Nicks'), legible],
    [measure('Groove worn by rope', 'small-length', atMost(0.001))],
  ),
  'prusik-loop': sheet(
    6,
    [stop('Cut strands'), look('Fluff'), stop('Glazed'), look('Stiff knots')],
    [measure('Strands cut', 'count', atMost(0)), measure('Abrasion, share of the strands', 'share', atMost(0.25))],
  ),
  'safety-lanyard': sheet(6, [
    stop('Has stopped flying metal since it was last inspected'),
    stop('Cut strands'),
    look('Fluff and glaze'),
    stop('Loops worn or slipped'),
  ]),
  'ground-anchor': sheet(12, [stop('Bent flukes or plates'), stop('Pins bent or missing'), stop('Cracks at the welds'), legible]),
  'receiver-mount': sheet(
    12,
    [stop('Cracks'), stop('Pin does not fit or clip'), look('Wear in the hole')],
    [measure('Cross-pin diameter where worn most', 'small-length', loss(0.1), 'pinDiameterM')],
  ),
  'recovery-point': sheet(12, [
    stop('Bolts loose'),
    stop('Cracks at the welds'),
    look('Gussets whole'),
    stop('Plate bent'),
    look('Edge smooth where fibre lies'),
  ]),
  winch: sheet(6, [
    stop('Clutch does not engage fully'),
    stop('Brake does not hold'),
    stop('Fixing bolts loose'),
    look('Lugs clean and tight'),
    stop('Isolator does not cut off'),
    look('Plug, remote and its batteries'),
    look('Burrs on the fairlead'),
    look('Line spooled in even layers'),
  ]),
  'lifting-jack': sheet(12, [look('Runs full length'), stop('Climbing pins do not spring'), look('Handle'), stop('Bar bent')]),
  damper: sheet(12, [look('There and whole'), look('Pockets can be filled')]),
  chocks: present,
  gloves: present,
  'eye-protection': present,
  shovel: present,
  'traction-boards': present,
  tool: present,
  'repair-strap': present,
  'load-securing-strap': present,
};

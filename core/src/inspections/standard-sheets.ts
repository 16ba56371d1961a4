import type { GearClass } from '../gear/classes/gear-classes.ts';
import type { InspectionSheet, SheetMeasure, SheetPoint } from './inspection-sheet.ts';

const TRADE = 'usual trade figure; the maker’s instructions win';

const slugOf = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
/** To look at, said as it should be, so that “in order” and “fails” read true; a fault is weighed with the rest. */
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
  stop('No strand cut'),
  look('Filaments whole, no fluff'),
  look('No flattened lengths'),
  stop('Not glazed or melted by heat'),
  look('Supple, no grit inside'),
  stop('Splices have not slipped'),
  look('Not faded by sun'),
];
const webbing = [
  stop('Edge and face without cuts'),
  stop('Stitching whole'),
  look('Eyes not worn'),
  stop('No melted or hard spots'),
  look('No grit in the weave'),
  look('Label there and legible'),
];
const webbingMeasures = [measure('Edge cut, share of the width', 'share', atMost(0.05)), measure('Stitch rows broken', 'count', atMost(0))];
const present = sheet(12, [look('There, and the count is right'), look('Whole and working')]);
const steelFitting = [
  stop('No cracks'),
  stop('Not bent, twisted or stretched'),
  look('No nicks or gouges'),
  look('No rust pitting'),
  legible,
];
const stretched = [...webbing, stop('Core does not show'), look('Eye coating whole'), look('No stiff or glazed sections')];

/** What every class is looked over for, by the careful reading of the trade; a team may change it by new versions. */
export const standardSheets: { readonly [K in GearClass]: InspectionSheet } = {
  'steel-shackle': sheet(
    12,
    [
      stop('No cracks'),
      stop('Pin straight'),
      stop('Bow not stretched or spread'),
      look('No nicks or gouges'),
      stop('Pin belongs to this shackle'),
      look('No rust pitting'),
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
      stop('No strand cut'),
      look('No fluffed strands'),
      look('No glazed or flat lengths'),
      stop('No melted fibre'),
      stop('Knot not drawn in or rolled'),
      look('Noose not worn'),
      look('No grit inside'),
      look('Not faded by sun'),
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
    [
      stop('No kink or birdcage'),
      stop('No crushed lengths'),
      look('No burrs'),
      look('No rust'),
      stop('End fitting has not moved or cracked'),
    ],
    [
      measure('Rope diameter where thinnest', 'small-length', loss(0.07), 'ropeDiameterM'),
      measure('Broken wires in one lay', 'count', atMost(6)),
      measure('Broken wires in one strand of a lay', 'count', atMost(2)),
    ],
  ),
  'line-extension': sheet(
    6,
    [...synthetic, stop('End thimbles tight and whole')],
    [
      measure('Rope diameter where thinnest', 'small-length', loss(0.1), 'ropeDiameterM'),
      measure('Strands cut', 'count', atMost(0)),
      measure('Abrasion, share of the strands', 'share', atMost(0.25)),
    ],
  ),
  'snatch-block': sheet(
    12,
    [
      stop('Cheeks straight and closing'),
      look('Sheave runs true'),
      stop('Groove without sharp edges'),
      stop('Pin tight, not worn'),
      look('Bearing runs freely'),
      legible,
    ],
    [measure('Groove wear, share of the rope diameter', 'share', atMost(0.05))],
  ),
  'recovery-ring': sheet(12, [
    stop('No burr in bore or groove that catches a glove'),
    look('No nicks'),
    look('Coating not worn'),
    stop('Lips that keep the line in are whole'),
    legible,
  ]),
  'tree-strap': sheet(6, webbing, webbingMeasures),
  'stretch-rope': sheet(6, stretched, [measure('Length at rest', 'length', growth(0.05), 'lengthM')]),
  'static-strap': sheet(6, webbing, webbingMeasures),
  'winch-extension-strap': sheet(6, webbing, webbingMeasures),
  bridle: sheet(6, webbing, webbingMeasures),
  chain: sheet(
    12,
    [stop('No stretched links'), stop('No gouged or twisted links'), stop('No cracks'), look('No rust pitting'), legible],
    [
      measure('Link diameter where worn most', 'small-length', loss(0.1), 'linkDiameterM'),
      measure('Length', 'length', growth(0.03), 'lengthM'),
    ],
  ),
  'winch-hook': sheet(
    12,
    [stop('No cracks'), stop('Latch closes and springs back'), stop('Lock pin there'), look('No nicks or gouges'), legible],
    [measure('Throat', 'small-length', growth(0.05), 'throatM'), measure('Twist', 'angle-deg', atMost(10))],
  ),
  'closed-link': sheet(
    12,
    [...steelFitting, stop('Pin there and tight')],
    [measure('Bore', 'small-length', growth(0.05), 'boreDiameterM'), measure('Twist', 'angle-deg', atMost(10))],
  ),
  'rope-lock-plate': sheet(
    12,
    [...steelFitting, stop('No sharp edge where the rope lies'), stop('Lock pin there')],
    [measure('Bore', 'small-length', growth(0.05), 'boreDiameterM')],
  ),
  'line-fitting': present,
  carabiner: sheet(
    12,
    [stop('No cracks'), stop('Gate closes by itself'), stop('Lock holds'), look('No nicks'), legible],
    [measure('Groove worn by rope', 'small-length', atMost(0.001))],
  ),
  'prusik-loop': sheet(
    6,
    [stop('No strand cut'), look('No fluff'), stop('Not glazed'), look('Knots supple')],
    [measure('Strands cut', 'count', atMost(0)), measure('Abrasion, share of the strands', 'share', atMost(0.25))],
  ),
  'safety-lanyard': sheet(6, [
    stop('Has stopped no flying metal since it was last inspected'),
    stop('No strand cut'),
    look('No fluff or glaze'),
    stop('Loops not worn or slipped'),
  ]),
  'ground-anchor': sheet(12, [stop('Flukes and plates straight'), stop('Pins straight and there'), stop('Welds without cracks'), legible]),
  'receiver-mount': sheet(
    12,
    [stop('No cracks'), stop('Pin fits and clips'), look('Hole not worn')],
    [measure('Cross-pin diameter where worn most', 'small-length', loss(0.1), 'pinDiameterM')],
  ),
  'recovery-point': sheet(12, [
    stop('Bolts tight'),
    stop('Welds without cracks'),
    look('Gussets whole'),
    stop('Plate straight'),
    look('Edge smooth where fibre lies'),
  ]),
  winch: sheet(6, [
    stop('Clutch engages fully'),
    stop('Brake holds'),
    stop('Fixing bolts tight'),
    look('Lugs clean and tight'),
    stop('Isolator cuts off'),
    look('Plug, remote and its batteries'),
    look('Fairlead without burrs'),
    look('Line spooled in even layers'),
  ]),
  'lifting-jack': sheet(12, [look('Runs full length'), stop('Climbing pins spring'), look('Handle whole'), stop('Bar straight')]),
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

import type { GearClass, gearClasses } from '../gear/classes/gear-classes.ts';

/** An attribute of any class of gear. */
type AttributeName = { [K in GearClass]: keyof (typeof gearClasses)[K]['fields'] & string }[GearClass];

/** What is on record of a piece, beside its attributes. */
export const gearFacts = {
  'gear.class': { words: 'class of the piece' },
  'gear.marks': { words: 'marks: value, unit, basis and source' },
  'gear.state': { words: 'state of the piece' },
  'gear.inspection': { words: 'last inspection: day, grade, next due' },
  'gear.age': { words: 'made and first used, renewals' },
} as const;

/** What of a rig's document a fact is, for people; `paths` are the leaves that hold it, lists without numbers. */
export interface FactRow {
  readonly words: string;
  /** Whose it is. */
  readonly of: 'body' | 'point' | 'use' | 'rig';
  /** How the difference between two versions tells that it changed; after the name of whose it is. */
  readonly told: string;
  readonly paths: readonly string[];
}

/** Every fact that somebody states of a rig. Together their paths are all that the document holds. */
export const rigFacts = {
  'ground.slope': { words: 'slope of the ground', of: 'rig', told: 'The slope of the ground changed', paths: ['ground'] },
  'body.mass': { words: 'mass of the vehicle or load', of: 'body', told: 'mass changed', paths: ['bodies.massKg'] },
  'body.size': { words: 'length and width', of: 'body', told: 'length or width changed', paths: ['bodies.lengthM', 'bodies.widthM'] },
  'body.stands': { words: 'where it stands', of: 'body', told: 'stands elsewhere', paths: ['bodies.xM', 'bodies.yM'] },
  'body.heading': { words: 'heading', of: 'body', told: 'heading changed', paths: ['bodies.headingRad'] },
  'body.name': {
    words: 'what it is called',
    of: 'body',
    told: 'name or kind changed',
    paths: ['bodies.id', 'bodies.kind', 'bodies.label', 'bodies.vehicleId'],
  },
  'vehicle.track': { words: 'track', of: 'body', told: 'track changed', paths: ['bodies.trackM'] },
  'vehicle.receiver': {
    words: 'size of its hitch receiver',
    of: 'body',
    told: 'size of its hitch receiver changed',
    paths: ['bodies.receiverM'],
  },
  'vehicle.axles': {
    words: 'wheelbase and load on the front axle',
    of: 'body',
    told: 'wheelbase or load on the front axle changed',
    paths: ['bodies.wheelbaseM', 'bodies.frontShare'],
  },
  'vehicle.stance': {
    words: 'ground under a vehicle, brakes, chocks',
    of: 'body',
    told: 'ground under it, brakes or chocks changed',
    paths: ['bodies.stance'],
  },
  'tree.trunk': { words: 'trunk diameter', of: 'body', told: 'diameter changed', paths: ['bodies.trunkDiameterM', 'bodies.diameterM'] },
  'tree.stands': {
    words: 'wood, footing, state and lean of a tree',
    of: 'body',
    told: 'wood, footing, state or lean changed',
    paths: ['bodies.wood', 'bodies.footing', 'bodies.state', 'bodies.leanRad'],
  },
  'anchor.judged': {
    words: 'working and failing number that somebody judged',
    of: 'body',
    told: 'what somebody judges it to hold changed',
    paths: ['bodies.judged'],
  },
  'anchor.ground': {
    words: 'soil, pattern and number of pickets',
    of: 'body',
    told: 'soil, pattern or number of pickets changed',
    paths: ['bodies.soil', 'bodies.pattern', 'bodies.lines'],
  },
  'anchor.log': {
    words: 'face and depth of a buried log',
    of: 'body',
    told: 'face or depth of the log changed',
    paths: ['bodies.faceHeightM', 'bodies.depthM'],
  },
  'person.duty': { words: 'what somebody does', of: 'body', told: 'what they do changed', paths: ['bodies.duty'] },
  'person.shelter': {
    words: 'cab or shelter',
    of: 'body',
    told: 'cab or shelter changed',
    paths: ['bodies.inVehicleId', 'bodies.shelter'],
  },
  'person.practised': {
    words: 'whether the layout was practised',
    of: 'body',
    told: 'whether they have practised the layout changed',
    paths: ['bodies.practised'],
  },
  'crew.people': { words: 'people at the rope', of: 'body', told: 'number of people at the rope changed', paths: ['bodies.people'] },
  'point.mount': { words: 'where a point sits', of: 'point', told: 'sits elsewhere or has another name', paths: ['points'] },
  'use.piece': { words: 'the piece chosen for a place', of: 'use', told: 'another piece is chosen', paths: ['uses.gearId'] },
  'use.role': {
    words: 'what a place asks of its piece',
    of: 'use',
    told: 'what the place asks of its piece changed',
    paths: ['uses.id', 'uses.role'],
  },
  'use.hitch': { words: 'how a strap is laid', of: 'use', told: 'laid differently', paths: ['uses.hitch'] },
  'use.bow-angle': {
    words: 'angle of the load off the bow’s axis',
    of: 'use',
    told: 'angle of the load off the bow’s axis changed',
    paths: ['uses.bowAngleRad'],
  },
  'use.axis': { words: 'axis on which a carabiner is loaded', of: 'use', told: 'loaded on another axis', paths: ['uses.axis'] },
  'use.named': {
    words: 'what a vehicle’s own point is',
    of: 'use',
    told: 'what the point is changed',
    paths: ['uses.named'],
  },
  'use.judged': {
    words: 'what somebody judges a vehicle’s own point to hold',
    of: 'use',
    told: 'what somebody judges the point to hold changed',
    paths: ['uses.judged'],
  },
  'line.way': {
    words: 'the way of the line: chains, bends, ends',
    of: 'rig',
    told: 'The chains, bends or ends of the lines changed',
    paths: ['chains', 'joints', 'lines'],
  },
  'line.edges': {
    words: 'what a plain edge under a line is like',
    of: 'rig',
    told: 'What a plain edge under a line is like changed',
    paths: ['lines.via.bend', 'lines.via.radiusM'],
  },
  'drive.faces': {
    words: 'which way a winch faces',
    of: 'rig',
    told: 'Which way a winch faces changed',
    paths: ['lines.drive.faces'],
  },
  engine: {
    words: 'whether the engine of the winching vehicle runs',
    of: 'rig',
    told: 'Whether the engine runs changed',
    paths: ['engine'],
  },
  'grip.place': { words: 'where a grip sits', of: 'rig', told: 'The grips changed', paths: ['grips'] },
  'lanyard.tie': { words: 'lanyards: what they catch, where they are tied', of: 'rig', told: 'The lanyards changed', paths: ['lanyards'] },
  'tie.back': { words: 'what ties a vehicle back', of: 'rig', told: 'What ties a vehicle back changed', paths: ['backAnchors'] },
  dampers: { words: 'dampers', of: 'rig', told: 'The dampers changed', paths: ['dampers'] },
  tools: { words: 'tools at hand', of: 'rig', told: 'The tools at hand changed', paths: ['tools'] },
  features: { words: 'what is drawn on the ground', of: 'rig', told: 'What is drawn on the ground changed', paths: ['features'] },
  origin: { words: 'where the site lies', of: 'rig', told: 'Where the site lies on the earth changed', paths: ['origin'] },
  purpose: { words: 'what the rig is for', of: 'rig', told: 'The purpose changed', paths: ['purpose'] },
  'load.travel': {
    words: 'what is to be moved, which way and how far',
    of: 'rig',
    told: 'What is to be moved, which way or how far, changed',
    paths: ['load.bodyId', 'load.travel', 'load.travelM'],
  },
  'load.path': { words: 'the way of the load over the ground', of: 'rig', told: 'The way of the load changed', paths: ['load.path'] },
  'load.drives': {
    words: 'whether the stuck driver drives along',
    of: 'rig',
    told: 'Whether the stuck driver drives along changed',
    paths: ['load.drivesAlong'],
  },
  'tow.run-up': {
    words: 'run-up: speed, slack and attempts',
    of: 'rig',
    told: 'The run-up changed',
    paths: ['lines.drive.runUp', 'lines.drive.attempts'],
  },
  'load.task': { words: 'what the load asks for', of: 'rig', told: 'What the load asks for changed', paths: ['load.task'] },
  sharing: { words: 'how several drives share the pull', of: 'rig', told: 'How the drives share the pull changed', paths: ['sharing'] },
  situation: { words: 'how the vehicle is stuck', of: 'rig', told: 'How the load sits changed', paths: ['situation'] },
  'pull.chosen': { words: 'a pull that somebody chose', of: 'rig', told: 'The chosen pull changed', paths: ['chosenPull'] },
  limiter: {
    words: 'a line pull that a load cell or limiter holds',
    of: 'rig',
    told: 'The line-pull limit that somebody states changed',
    paths: ['limiter'],
  },
  answers: { words: 'a look on the spot', of: 'rig', told: 'Answers given on the spot changed', paths: ['answers'] },
} as const satisfies { readonly [id: string]: FactRow };

/** What a case has beside its rig and gear. */
export const caseFacts = {
  policy: { words: 'the team’s settings' },
  day: { words: 'the day' },
} as const;

export type RigFactId = keyof typeof rigFacts;
export type FactId = RigFactId | keyof typeof gearFacts | keyof typeof caseFacts | `gear.${AttributeName}`;

/** Longest first, so that a leaf belongs to the fact that names it most closely. */
const byPath = Object.entries<FactRow>(rigFacts)
  .flatMap(([id, { paths }]) => paths.map((path) => ({ path, id: id as RigFactId })))
  .sort((a, b) => b.path.length - a.path.length);

/** The fact that a leaf of the document holds, by its path without numbers; undefined for what is no fact of ours, such as extensions. */
export const factAt = (path: string): RigFactId | undefined =>
  byPath.find((entry) => path === entry.path || path.startsWith(`${entry.path}.`))?.id;

/** A fact in words; an attribute by its label. */
export function factWords(id: FactId, labelOf: (attribute: string) => string): string {
  const rows: { readonly [key: string]: { readonly words: string } } = { ...rigFacts, ...gearFacts, ...caseFacts };
  return rows[id]?.words ?? labelOf(id.slice('gear.'.length));
}

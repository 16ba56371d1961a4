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
interface FactRow {
  readonly words: string;
  readonly paths: readonly string[];
}

/** Every fact that somebody states of a rig. Together their paths are all that the document holds. */
export const rigFacts = {
  'ground.slope': { words: 'slope of the ground', paths: ['ground'] },
  'body.mass': { words: 'mass of the vehicle or load', paths: ['bodies.massKg'] },
  'body.size': { words: 'length and width', paths: ['bodies.lengthM', 'bodies.widthM'] },
  'body.stands': { words: 'where it stands', paths: ['bodies.xM', 'bodies.yM'] },
  'body.heading': { words: 'heading', paths: ['bodies.headingRad'] },
  'body.name': { words: 'what it is called', paths: ['bodies.id', 'bodies.kind', 'bodies.label', 'bodies.vehicleId'] },
  'vehicle.axles': {
    words: 'wheelbase, track, load on the front axle',
    paths: ['bodies.wheelbaseM', 'bodies.trackM', 'bodies.frontShare'],
  },
  'vehicle.stance': { words: 'ground under a vehicle, brakes, chocks', paths: ['bodies.stance'] },
  'tree.trunk': { words: 'trunk diameter', paths: ['bodies.trunkDiameterM', 'bodies.diameterM'] },
  'tree.stands': {
    words: 'wood, footing, state and lean of a tree',
    paths: ['bodies.wood', 'bodies.footing', 'bodies.state', 'bodies.leanRad'],
  },
  'anchor.judged': { words: 'working and failing number that somebody judged', paths: ['bodies.judged'] },
  'anchor.ground': { words: 'soil, pattern and number of pickets', paths: ['bodies.soil', 'bodies.pattern', 'bodies.lines'] },
  'anchor.log': { words: 'face and depth of a buried log', paths: ['bodies.faceHeightM', 'bodies.depthM'] },
  'person.duty': { words: 'what somebody does', paths: ['bodies.duty'] },
  'person.shelter': { words: 'cab or shelter', paths: ['bodies.inVehicleId', 'bodies.shelter'] },
  'person.practised': { words: 'whether the layout was practised', paths: ['bodies.practised'] },
  'crew.people': { words: 'people at the rope', paths: ['bodies.people'] },
  'point.mount': { words: 'where a point sits', paths: ['points'] },
  'use.piece': { words: 'the piece chosen for a place', paths: ['uses.gearId'] },
  'use.role': { words: 'what a place asks of its piece', paths: ['uses.id', 'uses.role'] },
  'use.hitch': { words: 'how a strap is laid', paths: ['uses.hitch'] },
  'use.bow-angle': { words: 'angle of the load off the bow’s axis', paths: ['uses.bowAngleRad'] },
  'use.axis': { words: 'axis on which a carabiner is loaded', paths: ['uses.axis'] },
  'use.judged': { words: 'what somebody judges a vehicle’s own point to hold', paths: ['uses.judged'] },
  'line.way': { words: 'the way of the line: chains, bends, ends', paths: ['chains', 'joints', 'lines'] },
  'grip.place': { words: 'where a grip sits', paths: ['grips'] },
  'lanyard.tie': { words: 'lanyards: what they catch, where they are tied', paths: ['lanyards'] },
  'tie.back': { words: 'what ties a vehicle back', paths: ['backAnchors'] },
  dampers: { words: 'dampers', paths: ['dampers'] },
  tools: { words: 'tools at hand', paths: ['tools'] },
  features: { words: 'what is drawn on the ground', paths: ['features'] },
  origin: { words: 'where the site lies', paths: ['origin'] },
  purpose: { words: 'what the rig is for', paths: ['purpose'] },
  'load.travel': { words: 'what is to move, which way and how far', paths: ['load.bodyId', 'load.travel', 'load.travelM'] },
  'load.task': { words: 'what the load asks for', paths: ['load.task'] },
  sharing: { words: 'how several drives share the pull', paths: ['sharing'] },
  situation: { words: 'how the vehicle is stuck', paths: ['situation'] },
  'pull.chosen': { words: 'a pull that somebody chose', paths: ['chosenPull'] },
  limiter: { words: 'a line pull that a load cell or limiter holds', paths: ['limiter'] },
  answers: { words: 'a look on the spot', paths: ['answers'] },
} as const satisfies { readonly [id: string]: FactRow };

/** What a case has beside its rig and gear. */
export const caseFacts = {
  policy: { words: 'the team’s settings' },
  day: { words: 'the day' },
} as const;

export type RigFactId = keyof typeof rigFacts;
export type FactId = RigFactId | keyof typeof gearFacts | keyof typeof caseFacts | `gear.${AttributeName}`;

/** A fact in words; an attribute by its label. */
export function factWords(id: FactId, labelOf: (attribute: string) => string): string {
  const rows: { readonly [key: string]: { readonly words: string } } = { ...rigFacts, ...gearFacts, ...caseFacts };
  return rows[id]?.words ?? labelOf(id.slice('gear.'.length));
}

import type { TypeOf } from '../codec/codec.ts';
import { choice, flag } from '../codec/scalars.ts';
import { record } from '../codec/structures.ts';

/** Where practitioners disagree: what a team holds with. Each changes a figure, a verdict, a finding or a step of the field card. */
export const schoolsCodec = record({
  /** What the load is checked against: the estimate within working limits, the greatest pull within a margin to breaking, or both. */
  check: choice(['both', 'estimate', 'greatest']),
  /** Which estimate of a rolling vehicle is planned on. */
  estimate: choice(['highest', 'fractions', 'physics']),
  /** Wraps that stay on the drum where the maker says nothing: so many, or a whole layer. */
  wraps: choice(['count', 'full-layer']),
  /** How far a screw pin is turned back once it is seated. */
  pinBackOff: choice(['none', 'eighth-turn', 'quarter-turn', 'half-turn']),
  damperPlace: choice(['heaviest-hardware', 'mid-leg']),
  /** Where dampers are asked for. */
  dampers: choice(['each-leg', 'one-a-line']),
  operatorPlace: choice(['as-asked', 'cab', 'outside']),
  winchHeldBy: choice(['brakes-and-chocks', 'park-and-brakes']),
  wheelsHelp: choice(['allowed', 'never']),
  stuckDriver: choice(['rolls', 'drives-once-risen', 'drives-at-once']),
  /** What joins a strap’s eyes to the line at an anchor. */
  strapJoinedBy: choice(['soft-shackle', 'steel-shackle', 'either']),
  /** What joins two stretch ropes; metal never. */
  stretchJoinedBy: choice(['shackle-or-loops', 'soft-shackle']),
  connectors: choice(['soft-where-edges-allow', 'soft', 'metal']),
  lineEnd: choice(['closed-first', 'hook-or-closed']),
  /** A frame-fixed factory hook of the maker, without a mark. */
  factoryHook: choice(['steady-pull', 'rolling-only']),
  chain: choice(['back-anchor', 'never']),
  pulley: choice(['either', 'ring', 'block']),
  /** Points and straps that are refused unless a team takes them as a last resort. */
  axleAsLastResort: flag,
  ballMountAsLastResort: flag,
  receiverPinAsLastResort: flag,
  /** A load-securing strap by its marked limit. */
  securingStrapAsLastResort: flag,
});
export type Schools = TypeOf<typeof schoolsCodec>;

/** The careful reading of each. */
export const carefulSchools: Schools = {
  check: 'both',
  estimate: 'highest',
  wraps: 'count',
  pinBackOff: 'none',
  damperPlace: 'heaviest-hardware',
  dampers: 'each-leg',
  operatorPlace: 'as-asked',
  winchHeldBy: 'brakes-and-chocks',
  wheelsHelp: 'allowed',
  stuckDriver: 'rolls',
  strapJoinedBy: 'soft-shackle',
  stretchJoinedBy: 'shackle-or-loops',
  connectors: 'soft-where-edges-allow',
  lineEnd: 'closed-first',
  factoryHook: 'steady-pull',
  chain: 'back-anchor',
  pulley: 'either',
  axleAsLastResort: false,
  ballMountAsLastResort: false,
  receiverPinAsLastResort: false,
  securingStrapAsLastResort: false,
};

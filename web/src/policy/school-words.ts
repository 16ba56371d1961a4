import type { Schools } from '@wainrope/core';

/** What a choice of the policy is called where its key does not say it. */
export const SCHOOL_LABELS: { readonly [path: string]: string } = {
  'schools.check': 'What the load is checked against',
  'schools.estimate': 'Estimate that a rolling vehicle is planned on',
  'schools.wraps': 'Wraps to leave, where the maker says nothing',
  'schools.pinBackOff': 'Screw pin, once it is seated',
  'schools.damperPlace': 'Where a damper hangs',
  'schools.dampers': 'How many dampers',
  'schools.operatorPlace': 'Where the operator is',
  'schools.winchHeldBy': 'The winching vehicle is held by',
  'schools.wheelsHelp': 'Help with the wheels',
  'schools.stuckDriver': 'The stuck driver',
  'schools.strapJoinedBy': 'A strap is joined to the line by',
  'schools.stretchJoinedBy': 'Two stretch ropes are joined by',
  'schools.connectors': 'Connectors',
  'schools.lineEnd': 'The end of the line',
  'schools.factoryHook': 'A factory hook without a mark',
  'schools.chain': 'Chain',
  'schools.pulley': 'Ring or block',
  'schools.axleAsLastResort': 'Round an axle, as a last resort',
  'schools.ballMountAsLastResort': 'The mount of a tow ball, as a last resort',
  'schools.receiverPinAsLastResort': 'The cross-pin of a receiver through a strap’s eye, as a last resort',
  'schools.securingStrapAsLastResort': 'A load-securing strap by its marked limit, as a last resort',
};

/** Why the careful reading of each is the default. */
export const SCHOOL_WHY: { readonly [path: string]: string } = {
  'schools.check': 'A load can grow to what the winch gives; whoever assumes that it stalls checks the greatest pull alone.',
  'schools.estimate': 'The ground is seldom as kind as the mildest figure.',
  'schools.wraps': 'Few wraps slip on synthetic line; a whole layer never does.',
  'schools.pinBackOff': 'A pin that is turned back can go on turning; the maker’s word wins.',
  'schools.damperPlace': 'What would fly furthest is held down first.',
  'schools.dampers': 'Each leg parts by itself.',
  'schools.operatorPlace': 'The cab shields where it cannot roll over; outside is better where it can.',
  'schools.winchHeldBy': 'A parking lock alone can break; park without brakes stays a stop.',
  'schools.wheelsHelp': 'Slow wheels ease the pull; fast ones overrun the line.',
  'schools.stuckDriver': 'A vehicle that drives can slacken the line and jerk it tight.',
  'schools.strapJoinedBy': 'Both eyes lie alike in it, and it has little weight to fly.',
  'schools.stretchJoinedBy': 'Metal between two stretch ropes becomes a missile, so no setting allows it.',
  'schools.connectors': 'Soft ones fly less; an edge cuts them.',
  'schools.lineEnd': 'An open hook can let go when the line slackens.',
  'schools.factoryHook': 'Nobody has marked what it holds in a jerk.',
  'schools.chain': 'It is heavy, does not give, and flies in pieces.',
  'schools.pulley': 'Efficiency, fit and kind of rope decide.',
  'schools.axleAsLastResort': 'Hoses, wiring and covers are there, and no maker rates it.',
  'schools.receiverPinAsLastResort': 'It is thin, and bends before anybody sees it.',
  'schools.securingStrapAsLastResort': 'Its ratchet and hooks were made to hold a load still, not to be pulled on.',
  'schools.ballMountAsLastResort': 'Its hole was made for a ball, not for a shackle.',
};

type Words<T extends string> = readonly (readonly [T, string])[];
type ChoiceOf<K extends keyof Schools> = Schools[K] extends string ? Words<Schools[K]> : never;

const own: { readonly [K in keyof Schools as Schools[K] extends string ? K : never]: ChoiceOf<K> } = {
  check: [
    ['both', 'the estimate and the greatest pull'],
    ['estimate', 'the estimate alone'],
    ['greatest', 'the greatest pull alone'],
  ],
  estimate: [
    ['highest', 'the highest of all'],
    ['fractions', 'share of weight'],
    ['physics', 'physics'],
  ],
  wraps: [
    ['count', 'so many'],
    ['full-layer', 'a whole layer'],
  ],
  pinBackOff: [
    ['none', 'is left seated'],
    ['eighth-turn', 'back an eighth of a turn'],
    ['quarter-turn', 'back a quarter of a turn'],
    ['half-turn', 'back half a turn'],
  ],
  damperPlace: [
    ['heaviest-hardware', 'at the heaviest hardware'],
    ['mid-leg', 'half-way along the leg'],
  ],
  dampers: [
    ['each-leg', 'one on each leg'],
    ['one-a-line', 'one a line'],
  ],
  operatorPlace: [
    ['as-asked', 'as each site asks'],
    ['cab', 'in the cab'],
    ['outside', 'outside, with the remote'],
  ],
  winchHeldBy: [
    ['brakes-and-chocks', 'out of gear, all brakes, chocks'],
    ['park-and-brakes', 'park, all brakes, chocks'],
  ],
  wheelsHelp: [
    ['allowed', 'gently, never faster than the line'],
    ['never', 'the winch does it all'],
  ],
  stuckDriver: [
    ['rolls', 'lets it roll'],
    ['drives-once-risen', 'drives once it has risen'],
    ['drives-at-once', 'drives at once'],
  ],
  strapJoinedBy: [
    ['soft-shackle', 'a soft shackle'],
    ['steel-shackle', 'a steel shackle'],
    ['either', 'either'],
  ],
  stretchJoinedBy: [
    ['shackle-or-loops', 'a soft shackle or loops with a spacer'],
    ['soft-shackle', 'a soft shackle alone'],
  ],
  connectors: [
    ['soft-where-edges-allow', 'soft where the edge allows'],
    ['soft', 'soft'],
    ['metal', 'metal'],
  ],
  lineEnd: [
    ['closed-first', 'closed first'],
    ['hook-or-closed', 'hook or closed'],
  ],
  factoryHook: [
    ['steady-pull', 'for a steady pull'],
    ['rolling-only', 'for a rolling vehicle only'],
  ],
  chain: [
    ['back-anchor', 'in a back-anchor only'],
    ['never', 'never'],
  ],
  pulley: [
    ['either', 'either'],
    ['ring', 'a ring'],
    ['block', 'a block'],
  ],
};

/** The words of every choice of the policy, by its path. */
export const SCHOOLS: { readonly [path: string]: readonly (readonly [string, string])[] } = {
  'friction.school': [
    ['by-wrap', 'by wrap angle'],
    ['flat', 'a flat share a pulley'],
    ['none', 'none: double is double'],
  ],
  ...Object.fromEntries(Object.entries(own).map(([key, words]) => [`schools.${key}`, words])),
};

/**
 * Words for the keys of closed lists that do not read as English when their dashes become spaces. All other keys are said as they are
 * written, with spaces.
 */
const WORDS: { readonly [key: string]: string } = {
  // Rules.
  'in-the-loads-way': 'in the load’s way',
  'not-the-teams-way': 'not the team’s way',
  'back-anchor-stretches': 'back-anchor stretches',
  'over-line-pull-limit': 'over the line-pull limit',
  'no-safe-run-up': 'no safe run-up',
  'run-up-needs-slack': 'run-up needs slack',
  'run-up-on-judged-point': 'run-up on a judged point',
  'run-up-proposed': 'run-up proposed',
  'run-up-too-fast': 'run-up too fast',
  'run-up-unknown': 'run-up unknown',
  'static-with-run-up': 'static rope with a run-up',
  'soft-good-too-old': 'soft goods too old',
  // How a line's or a rope's end is made.
  'makers-assembly': 'as the maker made it up',
  'long-tapered-bury': 'long tapered splice',
  'thimble-pressed-sleeve': 'thimble and pressed sleeve',
  'wire-rope-grips': 'wire rope clips',
  'short-or-blunt-bury': 'short or blunt splice',
  'figure-eight': 'figure-of-eight knot',
  'other-knot': 'some other knot',
  // How an eye is locked.
  'passed-through': 'line passed through itself',
  'bury-alone': 'by the tapered splice alone',
  // Fibres.
  hmpe: 'HMPE',
  // Pins, gates, latches.
  'bolt-and-nut': 'bolt, nut and pin',
  'auto-lock': 'locks by itself',
  plain: 'no lock',
  'pin-locked': 'locked by a pin',
  sprung: 'sprung latch',
  // Which way a mount lets its shackle swing.
  level: 'from side to side',
  upright: 'up and down',
  free: 'both ways',
  // Points of a vehicle.
  'maker-rated': 'recovery point rated by its maker',
  'factory-hook': 'factory hook on the frame',
  'tie-down-eye': 'tie-down eye',
  'receiver-pin': 'cross-pin of a hitch receiver',
  'safety-chain-hole': 'hole for a safety chain',
  'bumper-or-bar-hole': 'hole in a bumper or bar',
  'thin-arm': 'thin arm or link',
  'frame-cross-member': 'cross-member of the frame',
  'frame-slot': 'slot in the frame',
  // Winches.
  'hawse-aluminium': 'aluminium hawse',
  'hawse-steel': 'steel hawse',
  stacked: 'stacked to one side',
  wireless: 'wireless remote',
  lead: 'remote on a lead',
  // Bearings, dampers.
  'ball-or-roller': 'ball or roller bearing',
  'plain-bush': 'plain bush',
  made: 'made for the purpose',
  // How a strap is laid.
  'in-line': 'straight, in line',
  basket: 'round as a basket, both eyes joined',
  choke: 'choked on itself',
  // Knots and rows of the team's tables.
  'ball-or-roller-block': 'block with ball or roller bearing',
  'plain-bush-block': 'block with plain bush',
  hubs: 'to the hubs',
  sills: 'to the sills',
  roof: 'to the roof line',
  bog: 'bog or clinging clay',
  // Duties.
  'drum-watcher': 'watches the drum',
  'road-guard': 'guards the road',
  // States of a plan.
  archived: 'put away',
};

/** A key of a closed list as people say it: `makers-assembly` is “as the maker made it up”, `wet-grass` “wet grass”. */
export const keyWords = (key: string): string => WORDS[key] ?? key.replaceAll('-', ' ');

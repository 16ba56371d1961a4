import { anchorage } from './anchorage.ts';
import { connectors } from './connectors.ts';
import { lines } from './lines.ts';
import { pulleys } from './pulleys.ts';
import { straps } from './straps.ts';
import { tools } from './tools.ts';

type Rows = typeof anchorage & typeof connectors & typeof lines & typeof pulleys & typeof straps & typeof tools;

/** Every class of gear with its traits, in the order in which people meet them in lists. */
export const gearClasses: Rows = {
  'steel-shackle': connectors['steel-shackle'],
  'soft-shackle': connectors['soft-shackle'],
  'winch-line-synthetic': lines['winch-line-synthetic'],
  'winch-line-steel': lines['winch-line-steel'],
  'line-extension': lines['line-extension'],
  'snatch-block': pulleys['snatch-block'],
  'recovery-ring': pulleys['recovery-ring'],
  'tree-strap': straps['tree-strap'],
  'stretch-rope': lines['stretch-rope'],
  'static-strap': straps['static-strap'],
  'winch-extension-strap': straps['winch-extension-strap'],
  bridle: straps.bridle,
  chain: straps.chain,
  'winch-hook': connectors['winch-hook'],
  'closed-link': connectors['closed-link'],
  'rope-lock-plate': connectors['rope-lock-plate'],
  'line-fitting': connectors['line-fitting'],
  carabiner: connectors.carabiner,
  'prusik-loop': lines['prusik-loop'],
  'safety-lanyard': lines['safety-lanyard'],
  'ground-anchor': anchorage['ground-anchor'],
  'receiver-mount': anchorage['receiver-mount'],
  'recovery-point': anchorage['recovery-point'],
  winch: anchorage.winch,
  'lifting-jack': tools['lifting-jack'],
  damper: tools.damper,
  chocks: tools.chocks,
  gloves: tools.gloves,
  'eye-protection': tools['eye-protection'],
  shovel: tools.shovel,
  'traction-boards': tools['traction-boards'],
  tool: tools.tool,
  'repair-strap': tools['repair-strap'],
  'load-securing-strap': straps['load-securing-strap'],
};

export type GearClass = keyof typeof gearClasses;
export const gearClassNames = Object.keys(gearClasses) as readonly GearClass[];

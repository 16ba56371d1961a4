import type { Role } from '../rig/rig.ts';
import type { GearClass } from './gear-classes.ts';

/** Which classes may serve in a role of a winch rig. What is missing here is refused by a rule with its reason. */
export const roleClasses: { readonly [R in Role]: readonly GearClass[] } = {
  winch: ['winch'],
  'winch-line': ['winch-line-synthetic', 'winch-line-steel'],
  extension: ['line-extension', 'winch-extension-strap', 'static-strap', 'winch-line-synthetic'],
  'tree-strap': ['tree-strap', 'static-strap'],
  strap: ['static-strap', 'winch-extension-strap', 'bridle'],
  connector: ['soft-shackle', 'steel-shackle', 'carabiner', 'closed-link', 'rope-lock-plate'],
  pulley: ['recovery-ring', 'snatch-block', 'carabiner'],
  'line-end': ['closed-link', 'winch-hook', 'rope-lock-plate', 'soft-shackle'],
  point: ['recovery-point', 'receiver-mount'],
  grip: ['prusik-loop'],
  anchor: ['ground-anchor'],
  chain: ['chain'],
  'tow-rope': ['static-strap', 'winch-extension-strap', 'line-extension', 'stretch-rope'],
  rope: ['line-extension', 'winch-line-synthetic', 'static-strap', 'winch-extension-strap', 'bridle'],
};

export const roleWords: { readonly [R in Role]: string } = {
  winch: 'winch',
  'winch-line': 'winch line',
  extension: 'extension',
  'tree-strap': 'tree strap',
  strap: 'strap',
  connector: 'connector',
  pulley: 'ring or block',
  'line-end': 'line end',
  point: 'recovery point',
  grip: 'grip',
  anchor: 'ground anchor',
  chain: 'chain',
  'tow-rope': 'tow rope',
  rope: 'rope',
};

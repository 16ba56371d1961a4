import { pick, small, weight, whole } from './fields.ts';
import { gearClass, notInLine } from './gear-class.ts';

const fields = { pieces: whole('Count', 'record-only', 1000), massKg: weight('Mass', 'record-only') } as const;
const tool = { ...notInLine, use: 'none', soft: false, fields } as const;

/** What is carried along: it holds no load in a line. */
export const tools = {
  'lifting-jack': gearClass({
    ...tool,
    label: 'Lifting jack',
    plural: 'Lifting jacks',
    prefix: 'JK',
    fields: { ...fields, liftM: small('Lift', 'record-only') },
  }),
  damper: gearClass({
    ...tool,
    label: 'Damper',
    plural: 'Dampers',
    prefix: 'D',
    soft: true,
    fields: {
      massKg: weight('Mass', 'hazard'),
      damperKind: pick('Made or improvised', 'record-only', ['made', 'improvised']),
    },
    damps: true,
  }),
  chocks: gearClass({ ...tool, label: 'Wheel chocks', plural: 'Wheel chocks', prefix: 'CK' }),
  gloves: gearClass({ ...tool, label: 'Gloves', plural: 'Gloves', prefix: 'GL', soft: true }),
  'eye-protection': gearClass({ ...tool, label: 'Eye protection', plural: 'Eye protection', prefix: 'EP' }),
  shovel: gearClass({ ...tool, label: 'Shovel', plural: 'Shovels', prefix: 'SV' }),
  'traction-boards': gearClass({ ...tool, label: 'Traction boards', plural: 'Traction boards', prefix: 'TB' }),
  tool: gearClass({ ...tool, label: 'Pump, saw, pin bar, tools', plural: 'Pumps, saws, pin bars, tools', prefix: 'TL' }),
  'repair-strap': gearClass({ ...tool, label: 'Repair strap', plural: 'Repair straps', prefix: 'RS', soft: true }),
} as const;

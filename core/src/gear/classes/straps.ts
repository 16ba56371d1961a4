import { long, pick, small, weight, whole, words } from './fields.ts';
import { gearClass } from './gear-class.ts';
import { fibres } from './materials.ts';

const fields = {
  lengthM: long('Length', 'length'),
  widthM: small('Width', 'record-only'),
  thicknessM: small('Thickness', 'strength'),
  material: pick('Material', 'strength', fibres),
  sleeves: whole('Movable sleeves', 'record-only', 10),
} as const;

const strap = {
  use: 'soft-good',
  soft: true,
  fields,
  inLine: 'lengthM',
  webbing: true,
  stretch: 'static-polyester',
  flies: 'as-rope',
  line: 'none',
  pin: 'none',
  enters: 'nothing',
  opening: 'none',
  pulley: 'none',
  servesAs: {},
  refusedBy: 'its-role',
  damps: false,
  carriesOn: 'nothing',
  laid: '',
  withoutLimit: '',
} as const;

/** Webbing that does not stretch, and chain. */
export const straps = {
  'tree-strap': gearClass({
    ...strap,
    label: 'Tree strap',
    plural: 'Tree straps',
    prefix: 'TS',
    servesAs: { 'tree-strap': 1 },
  }),
  'static-strap': gearClass({
    ...strap,
    label: 'Static strap',
    plural: 'Static straps',
    prefix: 'ST',
    servesAs: { extension: 3, 'tree-strap': 2, strap: 1, 'tow-rope': 1, rope: 3 },
    laid: 'flat, no twist',
  }),
  'winch-extension-strap': gearClass({
    ...strap,
    label: 'Winch extension strap',
    plural: 'Winch extension straps',
    prefix: 'XS',
    servesAs: { extension: 2, strap: 2, 'tow-rope': 2, rope: 4 },
    laid: 'flat, no twist',
  }),
  bridle: gearClass({
    ...strap,
    label: 'Bridle',
    plural: 'Bridles',
    prefix: 'BR',
    servesAs: { strap: 3, rope: 5 },
    laid: 'legs equal, no twist',
  }),
  chain: gearClass({
    label: 'Chain',
    plural: 'Chains',
    prefix: 'CH',
    use: 'chain',
    soft: false,
    fields: {
      linkDiameterM: small('Link diameter', 'record-only'),
      lengthM: long('Length', 'length'),
      chainGrade: words('Chain grade', 'record-only'),
      massKg: weight('Mass', 'hazard'),
    },
    inLine: 'lengthM',
    stretch: 'chain',
    servesAs: { chain: 1 },
    refusedBy: 'a-rule-of-its-own',
    flies: 'as-rope',
    laid: 'no twist, hook on to its link',
    line: 'none',
    webbing: false,
    pin: 'none',
    enters: 'nothing',
    opening: 'none',
    pulley: 'none',
    damps: false,
    carriesOn: 'nothing',
    withoutLimit: '',
  }),
  'load-securing-strap': gearClass({
    ...strap,
    label: 'Load-securing strap',
    plural: 'Load-securing straps',
    prefix: 'LS',
    // Only where a team takes it as a last resort: straight, as its hooks and ratchet let it lie.
    servesAs: { strap: 9, extension: 9, 'tow-rope': 9 },
    laid: 'flat, straight, no twist',
  }),
} as const;

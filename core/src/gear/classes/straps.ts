import { long, pick, small, weight, whole, words } from './fields.ts';
import { gearClass, notInLine } from './gear-class.ts';
import { fibres } from './materials.ts';

const fields = {
  lengthM: long('Length', 'length'),
  widthM: small('Width', 'record-only'),
  thicknessM: small('Thickness', 'strength'),
  material: pick('Material', 'strength', fibres),
  sleeves: whole('Movable sleeves', 'record-only', 10),
} as const;

const strap = {
  ...notInLine,
  use: 'soft-good',
  soft: true,
  fields,
  inLine: 'lengthM',
  webbing: true,
  stretch: 'static-polyester',
  flies: 'as-rope',
} as const;

/** Webbing that does not stretch, and chain. */
export const straps = {
  'tree-strap': gearClass({
    ...strap,
    label: 'Tree strap',
    plural: 'Tree straps',
    prefix: 'TS',
    alsoCalled: ['tree-saver', 'tree-trunk-strap'],
    servesAs: { 'tree-strap': 1 },
  }),
  'static-strap': gearClass({
    ...strap,
    label: 'Static strap',
    plural: 'Static straps',
    prefix: 'ST',
    alsoCalled: ['strap', 'tow-strap'],
    servesAs: { extension: 3, 'tree-strap': 2, strap: 1, 'tow-rope': 1, rope: 3 },
    laid: 'flat, no twist',
  }),
  'winch-extension-strap': gearClass({
    ...strap,
    label: 'Winch extension strap',
    plural: 'Winch extension straps',
    prefix: 'XS',
    alsoCalled: [],
    servesAs: { extension: 2, strap: 2, 'tow-rope': 2, rope: 4 },
    laid: 'flat, no twist',
  }),
  bridle: gearClass({
    ...strap,
    label: 'Bridle',
    plural: 'Bridles',
    prefix: 'BR',
    alsoCalled: [],
    servesAs: { strap: 3, rope: 5 },
    laid: 'legs equal, no twist',
  }),
  chain: gearClass({
    ...notInLine,
    label: 'Chain',
    plural: 'Chains',
    prefix: 'CH',
    alsoCalled: [],
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
  }),
  'load-securing-strap': gearClass({
    ...strap,
    label: 'Load-securing strap',
    plural: 'Load-securing straps',
    prefix: 'LS',
    alsoCalled: [],
    use: 'refused',
    // Its ratchet and hooks keep it from lying as a strap lies; it is refused before that could matter.
    webbing: false,
    servesAs: {},
    refusedBy: 'a-rule-of-its-own',
  }),
} as const;

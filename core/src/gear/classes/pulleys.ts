import { pick, small, weight } from './fields.ts';
import { gearClass } from './gear-class.ts';

const mass = { massKg: weight('Mass', 'hazard') } as const;

/** What a line runs over. */
export const pulleys = {
  'snatch-block': gearClass({
    label: 'Snatch block',
    plural: 'Snatch blocks',
    prefix: 'SB',
    use: 'snatch-block',
    soft: false,
    fields: {
      treadDiameterM: small('Sheave tread diameter', 'strength'),
      grooveWidthM: small('Groove width', 'fit'),
      eyeDiameterM: small('Eye bore', 'fit'),
      eyeThicknessM: small('Thickness at the eye', 'fit'),
      ropeKind: pick('Rope kind', 'fit', ['synthetic', 'steel', 'both']),
      bearing: pick('Bearing', 'strength', ['ball-or-roller', 'plain-bush']),
      reachM: small('Eye to sheave centre', 'length'),
      ...mass,
    },
    inLine: 'reachM',
    opening: { kind: 'bore', bore: 'eyeDiameterM', lug: 'eyeThicknessM' },
    pulley: {
      // A bearing that is not on record counts as the lossier kind.
      kind: { by: ({ bearing }) => (bearing === 'ball-or-roller' ? 'ball-or-roller-block' : 'plain-bush-block') },
      tread: 'treadDiameterM',
      groove: 'grooveWidthM',
    },
    servesAs: { pulley: 2 },
    laid: 'line in, cheeks closed, pin home',
    line: 'none',
    webbing: false,
    stretch: 'rigid',
    pin: 'none',
    enters: 'nothing',
    refusedBy: 'its-role',
    flies: 'with-its-mass',
    damps: false,
    carriesOn: 'nothing',
    withoutLimit: '',
  }),
  'recovery-ring': gearClass({
    label: 'Recovery ring',
    plural: 'Recovery rings',
    prefix: 'RR',
    use: 'ring-carabiner-plate',
    soft: false,
    fields: {
      boreDiameterM: small('Bore', 'fit'),
      treadDiameterM: small('Tread diameter', 'strength'),
      grooveWidthM: small('Groove width', 'fit'),
      reachM: small('Shackle seat to centre', 'length'),
      ...mass,
    },
    inLine: 'reachM',
    opening: { kind: 'bore', bore: 'boreDiameterM', lug: 'none' },
    pulley: { kind: 'ring', tread: 'treadDiameterM', groove: 'grooveWidthM' },
    servesAs: { pulley: 1 },
    laid: 'line in the groove, ring free to turn',
    line: 'none',
    webbing: false,
    stretch: 'rigid',
    pin: 'none',
    enters: 'nothing',
    refusedBy: 'its-role',
    flies: 'with-its-mass',
    damps: false,
    carriesOn: 'nothing',
    withoutLimit: '',
  }),
} as const;

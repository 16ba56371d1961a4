import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, numeric, text } from '../codec/scalars.ts';
import { list, optional, record } from '../codec/structures.ts';

/**
 * What a marked number claims to be. `wll` working load limit (also SWL); `mbs` minimum breaking strength (also breaking,
 * ultimate, maximum, capacity of a soft good); `proof` twice the working load limit; `basket-mbs` breaking strength of a
 * sling hung in basket, half of it straight; `rated-pull` a winch's pull on its first layer; `unstated` nothing said.
 */
export const markBases = ['wll', 'mbs', 'proof', 'basket-mbs', 'rated-pull', 'unstated'] as const;
export type MarkBasis = (typeof markBases)[number];

/** Where the number comes from. */
export const markSources = ['stamped', 'label', 'makers-paper', 'advert', 'team-test'] as const;
export type MarkSource = (typeof markSources)[number];

/** What a bare ton can be, once somebody has confirmed it. */
export const tonUnits = ['short ton', 'tonne', 'long ton'] as const;
export type TonUnit = (typeof tonUnits)[number];

export const markCodec = record({
  /** The words as they stand on the piece. */
  asWritten: text({ maxLength: 120 }),
  basis: choice(markBases),
  source: choice(markSources),
  /** Which ton a bare `ton` is, confirmed by a person; then one reading stands. */
  confirmedUnit: optional(choice(tonUnits)),
  /** One reading, or several when the unit is ambiguous, the smallest first. Force in newtons, above 0. */
  readings: list(record({ unit: text({ maxLength: 20 }), forceN: numeric({ above: 0, max: 1e9 }) }), { min: 1, max: 3 }),
  /** True when `31,700`-like text was read by the team's decimal setting. */
  settingDecided: flag,
});
export type Mark = TypeOf<typeof markCodec>;

export const basisWords: { readonly [B in MarkBasis]: string } = {
  wll: 'working load limit',
  mbs: 'breaking strength',
  proof: 'proof load',
  'basket-mbs': 'breaking strength in basket',
  'rated-pull': 'rated pull',
  unstated: 'basis not stated',
};

export const sourceWords: { readonly [S in MarkSource]: string } = {
  stamped: 'stamped on the piece',
  label: 'label',
  'makers-paper': 'maker’s paper',
  advert: 'advert',
  'team-test': 'team test',
};

/** Whether a mark leaves open what it says: which ton, or whether it is a working or a breaking number. */
export const isUnclear = ({ basis, readings }: Mark): boolean => basis === 'unstated' || readings.length > 1;

import type { IncidentKind } from '@wainrope/contract';

export const incidentWords: { readonly [K in IncidentKind]: string } = {
  hurt: 'Somebody was hurt',
  parted: 'Something parted',
  struck: 'Something was struck',
  slid: 'Something slid or ran',
  other: 'Something else',
  'near-miss': 'A near miss',
};

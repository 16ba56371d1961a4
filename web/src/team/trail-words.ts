import type { SubjectKind } from '@wainrope/contract';
import { day } from '../shell/days.ts';

export const kindWords: { readonly [K in SubjectKind]: string } = {
  gear: 'Gear',
  inspection: 'Inspections',
  defect: 'Defects',
  kit: 'Kits',
  outing: 'Checked out and counted back',
  plan: 'Plans',
  person: 'People',
  policy: 'Settings',
  template: 'Inspection sheets',
  vehicle: 'Vehicles',
  'hook-up': 'Hook-up book',
  round: 'Rounds',
  load: 'Loads',
  incident: 'Incidents and near misses',
  'break-test': 'Break tests',
  team: 'Team',
  account: 'Signing in and links',
};

/** `firstUsedOn` as `first used on`. */
export const fieldWords = (field: string): string =>
  field
    .split('.')
    .at(-1)
    ?.replace(/([a-z])([A-Z])/g, '$1 $2')
    .replaceAll('-', ' ')
    .toLowerCase() ?? field;

/** A value as a reader of the trail meets it. */
export function valueWords(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (Array.isArray(value)) return value.map(valueWords).join('; ') || 'nothing';
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([key, part]) => `${fieldWords(key)} ${valueWords(part)}`)
      .join(', ');
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return day(String(value));
}

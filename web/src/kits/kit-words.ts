import { gearClasses, type NotFit, type Terrain, type WantedLine } from '@wainrope/core';

export const terrainWords: { readonly [T in Terrain]: string } = {
  sand: 'Sand',
  snow: 'Snow',
  woods: 'Woods',
  'open-ground': 'Open ground',
  'small-machines': 'Small machines',
};

export const notFitWords: { readonly [W in NotFit]: string } = {
  quarantined: 'in quarantine',
  retired: 'retired',
  due: 'inspection due',
  'too-weak': 'too weak',
  unrated: 'not rated',
  away: 'checked out',
};

/** What a line asks for. */
export function wantedWords({ wanted: { kind, count } }: Pick<WantedLine, 'wanted'>): string {
  const { label, plural } = gearClasses[kind];
  return `${count} ${(count === 1 ? label : plural).toLowerCase()}`;
}

/** What is missing of it. */
export const shortWords = ({ wanted: { kind }, short }: WantedLine): string =>
  `${short} ${gearClasses[kind][short === 1 ? 'label' : 'plural'].toLowerCase()}`;

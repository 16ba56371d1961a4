import type { Depth, Situation, Surface } from '@wainrope/core';

export const surfaceWords: { readonly [S in Surface]: string } = {
  'hard-road': 'hard road',
  grass: 'grass',
  'wet-hard-sand': 'wet hard sand',
  gravel: 'gravel',
  'soft-dry-sand': 'soft dry sand',
  'shallow-mud': 'shallow mud',
  bog: 'bog or clinging clay',
};
export const depthWords: { readonly [D in Depth]: string } = {
  none: 'not sunk in',
  hubs: 'to the hubs',
  sills: 'to the sills',
  roof: 'to the roof line',
};
export const soilWords: { readonly [S in Situation['soil']]: string } = {
  sand: 'sand',
  loam: 'loam',
  silt: 'silt',
  'clay-or-bog': 'clay or bog',
};
export const holdGroundWords = {
  'dry-gravel': 'dry gravel',
  'dry-grass': 'dry grass',
  'wet-grass': 'wet grass',
  mud: 'mud',
  snow: 'snow',
  ice: 'ice',
} as const;

export const brakeWords = {
  all: 'all brakes',
  'parking-rear': 'parking brake, rear axle',
  'parking-front': 'parking brake, front axle',
  'park-only': 'its selector alone',
  none: 'nothing',
} as const;

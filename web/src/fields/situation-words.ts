import { type Depth, keyWords } from '@wainrope/core';

/** How far something is sunk in; `none` is said otherwise of a depth than of anything else. */
export const depthWords = (depth: Depth): string => (depth === 'none' ? 'not sunk in' : keyWords(depth));

export const brakeWords = {
  all: 'all brakes',
  'parking-rear': 'parking brake, rear axle',
  'parking-front': 'parking brake, front axle',
  'park-only': 'its selector alone',
  none: 'nothing',
} as const;

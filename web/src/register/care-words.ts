import type { InspectionKind } from '@wainrope/contract';
import type { ExposureKind } from '@wainrope/core';

export const kindWords: { readonly [K in InspectionKind]: string } = {
  'before-use': 'Before use',
  'after-use': 'After use',
  calendar: 'By the calendar',
  'after-overload': 'After an overload or shock',
  'on-receipt': 'On receipt',
  'after-repair': 'After repair',
  'on-record': 'Taken over from a list',
};

export const exposureWords: { readonly [K in ExposureKind | 'washed']: string } = {
  mud: 'Mud',
  sand: 'Sand',
  salt: 'Salt',
  wet: 'Wet',
  sun: 'Sun',
  washed: 'Washed and dried',
};

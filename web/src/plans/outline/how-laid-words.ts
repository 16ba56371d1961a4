import type { PieceUse, plainBends, pointKinds, winchFaces } from '@wainrope/core';

export const hitchWords: { readonly [H in NonNullable<PieceUse['hitch']>]: string } = {
  'in-line': 'straight, in line',
  basket: 'round it as a basket, both eyes joined',
  choke: 'choked on itself',
};

export const pointKindWords: { readonly [K in (typeof pointKinds)[number]]: string } = {
  'maker-rated': 'recovery point rated by its maker',
  'factory-hook': 'factory hook on the frame',
  'tie-down-eye': 'tie-down eye',
  'tow-ball': 'tow ball',
  'receiver-pin': 'cross-pin of a hitch receiver',
  'safety-chain-hole': 'hole for a safety chain',
  'bumper-or-bar-hole': 'hole in a bumper or bar',
  'axle-tube': 'axle tube',
  'thin-arm': 'thin arm or link',
  'thick-suspension-arm': 'thick suspension arm',
  'frame-cross-member': 'cross-member of the frame',
  'frame-slot': 'slot in the frame',
};

export const facesWords: { readonly [F in (typeof winchFaces)[number]]: string } = {
  ahead: 'ahead',
  astern: 'astern',
  left: 'to its left',
  right: 'to its right',
};

export const edgeWords: { readonly [B in (typeof plainBends)[number]]: string } = {
  'synthetic-on-aluminium': 'synthetic on aluminium',
  'synthetic-on-steel': 'synthetic on steel',
  'synthetic-on-bark': 'synthetic on bark',
  'wire-on-rollers': 'wire on rollers',
};

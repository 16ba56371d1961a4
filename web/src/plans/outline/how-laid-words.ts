import type { winchFaces } from '@wainrope/core';

export const facesWords: { readonly [F in (typeof winchFaces)[number]]: string } = {
  ahead: 'ahead',
  astern: 'astern',
  left: 'to its left',
  right: 'to its right',
};

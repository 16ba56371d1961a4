import type { PointAnswer } from '@wainrope/core';

export const answerWords: { readonly [A in PointAnswer]: string } = { ok: 'In order', worn: 'Worn', fails: 'Fails' };

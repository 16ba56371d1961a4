import type { DiaryEntry, DiaryKind } from '@wainrope/contract';
import { force, keyWords, length, type RichText, rich } from '@wainrope/core';

export const diaryWords: { readonly [K in DiaryKind]: string } = {
  spooled: 'Spooled',
  ran: 'Line ran',
  covered: 'Cover on',
  uncovered: 'Cover off',
  'cut-back': 'Cut back',
  spliced: 'Spliced anew',
  stretched: 'Stretched under tension',
};

/** What was done, with its figures. */
export function entryWords(
  entry: Pick<DiaryEntry, 'kind' | 'spoolState' | 'tensionN' | 'metres' | 'cutAt' | 'endTermination' | 'eyeLock'>,
): RichText {
  const { kind, spoolState, tensionN, metres = 0, cutAt, endTermination, eyeLock } = entry;
  const under = tensionN === undefined ? rich`` : rich` at ${force(tensionN)}`;
  switch (kind) {
    case 'spooled':
      return rich`Spooled ${spoolState ? keyWords(spoolState) : ''}${under}`;
    case 'ran':
      return rich`The line ran ${length(metres)}`;
    case 'cut-back':
      return rich`${length(metres)} cut off at the ${cutAt ?? 'end'}`;
    case 'spliced':
      return rich`New end: ${endTermination ? keyWords(endTermination) : 'not said'}${eyeLock ? `; its eye: ${keyWords(eyeLock)}` : ''}`;
    case 'stretched':
      return rich`Stretched under tension${under}`;
    default:
      return rich`${diaryWords[kind]}`;
  }
}

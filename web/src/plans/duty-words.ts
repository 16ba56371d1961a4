import { type Body, keyWords } from '@wainrope/core';

/** What somebody is there for, where their name does not say it already. */
export function dutyBeside({ label, duty }: Pick<Extract<Body, { kind: 'person' }>, 'label' | 'duty'>): string | undefined {
  const words = keyWords(duty);
  return label.toLowerCase() === words ? undefined : words;
}

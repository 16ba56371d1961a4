import { expect, it } from 'vitest';
import { unspeakable } from './unspeakable.ts';

it('what no person would write is found where it stands', () => {
  for (const [text, found] of [
    ['Momentum at at-otter', ['at-otter']],
    ['contentBase64 is missing', ['contentBase64']],
    ['2313.3210870000003 kg', ['3.3210870000003']],
    ['due 2026-06-01', ['2026-06-01']],
    ['undefined pieces', ['undefined']],
    ['The run-up of 4.75 kN, WLL 2, SB-02', []],
  ] as const)
    expect([text, unspeakable(text)]).toEqual([text, found]);
});

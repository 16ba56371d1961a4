import { expect, it } from 'vitest';
import { backOf } from './back-of.ts';

const PLAN = '/plans/0f0e0d0c-1111-4222-8333-444455556666';

it.each([
  [PLAN, PLAN],
  [`${PLAN}/record`, undefined],
  ['//elsewhere.example/plans', undefined],
  ['https://elsewhere.example', undefined],
  ['/gear', undefined],
  ['', undefined],
])('after a round one goes back to %j: %j', (back, expected) => {
  expect(backOf(new URLSearchParams({ back }))).toBe(expected);
});
it('without one, nowhere', () => expect(backOf(new URLSearchParams())).toBeUndefined());

import { expect, it } from 'vitest';
import { slackForSpeedM } from './slack.ts';

it.each([
  // 3 m/s at 1.5 m/s²: 9 ÷ 3.
  [3, 1.5, 3],
  [4, 1, 8],
  [0, 1.5, 0],
  [3, 0, Number.POSITIVE_INFINITY],
])('%d m/s at %d m/s² asks for %d m', (speed, acceleration, slack) => {
  expect(slackForSpeedM(speed, acceleration)).toBe(slack);
});

import { describe, expect, it } from 'vitest';
import type { Policy } from './policy.ts';
import { isTouched, recordedPolicy } from './recorded-policy.ts';
import { teamStandard } from './team-standard.ts';

const readBy = (look: (policy: Policy) => unknown) => {
  const { policy, read } = recordedPolicy(teamStandard);
  look(policy);
  return read();
};

describe('a policy that remembers what was read of it', () => {
  it.each<[string, (policy: Policy) => unknown, readonly string[]]>([
    ['nothing', () => undefined, []],
    ['a table that is only passed on', ({ care }) => care, []],
    ['a figure', ({ care }) => care.youngMonths.value, ['care.youngMonths.value']],
    ['a figure twice', ({ care }) => [care.youngMonths.value, care.youngMonths.value], ['care.youngMonths.value']],
    ['what is not there', ({ severities }) => severities['no-such-rule'], ['severities.no-such-rule']],
    ['whether something is there', ({ severities }) => 'no-such-rule' in severities, ['severities.no-such-rule']],
    ['what is in a table', ({ severities }) => Object.keys(severities), ['severities']],
  ])('%s', (_what, look, expected) => {
    expect(readBy(look)).toEqual(expected);
  });

  it('gives the figures that the policy has, lists among them', () => {
    const { policy } = recordedPolicy(teamStandard);
    expect(JSON.parse(JSON.stringify(policy))).toEqual(JSON.parse(JSON.stringify(teamStandard)));
  });
});

describe('whether a change can reach a judgement', () => {
  const differences = (path: string) => [{ path, from: 1, to: 2 }];
  it.each<[readonly string[], string, boolean]>([
    [[], 'care.youngMonths.value', false],
    [['care.youngMonths.value'], 'care.youngMonths.value', true],
    [['care.youngMonths.value'], 'care.youngMonthsToo.value', false],
    [['care.youngMonths.value'], 'care.otherMonths.value', false],
    [['severities'], 'severities.over-limit', true],
    [['severities.over-limit'], 'severities', true],
    [['severity'], 'severities.over-limit', false],
    [[''], 'anything', true],
  ])('%j read, %s changed: %s', (read, path, expected) => {
    expect(isTouched(read, differences(path))).toBe(expected);
  });
});

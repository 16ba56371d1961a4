import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { layouts } from '../testing/layouts.ts';
import type { Policy } from './policy.ts';
import { policyDifferences } from './policy-differences.ts';
import { isTouched, recordedPolicy } from './recorded-policy.ts';
import { teamStandard } from './team-standard.ts';

/** Every so many layouts are tried; all of them in the long tests. */
const EVERY = process.env.WAINROPE_LONG === 'yes' ? 1 : 6;

/** Every figure of a policy, by its path. */
function* figures(value: unknown, path: readonly string[]): Generator<readonly string[]> {
  if (typeof value === 'number') yield path;
  else if (typeof value === 'object' && value !== null)
    for (const [key, entry] of Object.entries(value)) yield* figures(entry, [...path, key]);
}

function withFigure(path: readonly string[], change: (figure: number) => number): Policy {
  const policy = JSON.parse(JSON.stringify(teamStandard)) as Record<string, never>;
  const holder = path.slice(0, -1).reduce<Record<string, never>>((at, key) => at[key] as never, policy);
  const last = path.at(-1) ?? '';
  holder[last] = change(holder[last] as unknown as number) as never;
  return policy as unknown as Policy;
}

describe('what a change does not touch comes out the same', () => {
  it('for every figure of the settings, shared out over the layouts', () => {
    const paths = [...figures(teamStandard, [])];
    let untouched = 0;
    for (const [index, { build }] of layouts.entries()) {
      if (index % EVERY !== 0) continue;
      const subject = build();
      const { policy, read } = recordedPolicy(teamStandard);
      const report = judge({ ...subject, policy });
      expect(report).toEqual(judge({ ...subject, policy: teamStandard }));
      for (const path of paths.filter((_path, at) => at % layouts.length === index)) {
        const other = withFigure(path, (figure) => figure * 1.01);
        if (isTouched(read(), policyDifferences(teamStandard, other))) continue;
        untouched += 1;
        expect(judge({ ...subject, policy: other }), path.join('.')).toEqual(report);
      }
    }
    expect(untouched).toBeGreaterThan(40 / EVERY);
  });
});

import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPolicy } from './read-policy.ts';
import { teamStandard } from './team-standard.ts';

const kept = (name: string): object => JSON.parse(readFileSync(new URL(`../../old-files/${name}.json`, import.meta.url), 'utf8'));

describe('a policy that an earlier version wrote', () => {
  it.each(['policy-of-release-1', 'policy-before-last-resorts'])(
    '%s is completed with the team standard, and keeps what it states',
    (name) => {
      const old = kept(name);
      const result = readPolicy({
        ...old,
        name: 'Kept',
        limits: { ...teamStandard.limits, nearLimit: { value: 0.7, source: 'the team' } },
      });
      if (!result.ok) throw new Error(JSON.stringify(result.faults.slice(0, 5)));
      expect(result.value.name).toBe('Kept');
      expect(result.value.limits.nearLimit.value).toBe(0.7);
      expect(result.value.schools).toMatchObject({ receiverPinAsLastResort: false, securingStrapAsLastResort: false });
      expect(result.value.judging.legsFixDeg.value).toBe(90);
      expect(Object.keys(result.value).sort()).toEqual(Object.keys(teamStandard).sort());
    },
  );
  it('is refused where a row is missing that there always was', () => {
    const { nearLimit: _gone, ...limits } = teamStandard.limits;
    const result = readPolicy({ ...teamStandard, limits });
    expect(result.ok ? [] : result.faults.map(({ path }) => path)).toEqual(['limits.nearLimit']);
  });
});

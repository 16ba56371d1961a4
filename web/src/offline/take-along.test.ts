import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { forgetAnswers, keepAnswer, keptAnswer, keptTimes, SESSION } from '../kept/kept-answers.ts';
import { takeAlong } from './take-along.ts';

const plans = [
  { planId: 'p1', savedAt: '2026-01-02', verdict: 'clear' },
  { planId: 'p2', savedAt: '2026-01-03', verdict: 'stop' },
];
const pieces: object[] = [{ gearId: 'g1' }];
let asked: string[];
let verdict: string;
/** A server that answers every address with something; `gone` from one address on. */
const server = (gone?: string) => {
  let lost = false;
  return async (address: string) => {
    asked.push(address);
    lost ||= address === gone;
    if (lost) return { error: { status: 'FETCH_ERROR' as const, error: 'gone' } };
    const path = address.split('?')[0] ?? '';
    if (path === '/api/v1/plans') return { data: { items: plans.map((plan) => (plan.planId === 'p2' ? { ...plan, verdict } : plan)) } };
    if (path === '/api/v1/gear') return { data: { items: pieces } };
    if (path === '/api/v1/people') return { data: { items: [{ personId: 'isla' }] } };
    return { data: { items: [], path } };
  };
};
const never = () => false;
const kept = async () => (await keptTimes()).map(({ key }) => key);

beforeEach(async () => {
  asked = [];
  verdict = 'stop';
  await forgetAnswers();
  await keepAnswer({
    key: SESSION,
    data: { signedIn: true, person: { personId: 'isla' }, team: { teamId: 't' } },
    at: '2026-01-15T10:00:00Z',
  });
});

describe('what a device takes along', () => {
  it('is every list, every plan with its versions and remarks, and every person', async () => {
    expect(await takeAlong(server(), never, true)).toBe(true);
    expect(await kept()).toEqual(
      expect.arrayContaining(['wholeRegister', 'allPlans', '/api/v1/team', '/api/v1/kits', '/api/v1/outings', '/api/v1/inspection-sheets']),
    );
    for (const id of ['p1', 'p2'])
      expect(await kept()).toEqual(
        expect.arrayContaining([`/api/v1/plans/${id}`, `/api/v1/plans/${id}/versions`, `/api/v1/plans/${id}/comments`]),
      );
    expect((await keptAnswer('wholeRegister'))?.data).toEqual([{ gearId: 'g1' }]);
    expect(await kept()).toContain('/api/v1/people/isla');
  });
  it('leaves out what the person may not read, and asks for nothing of it', async () => {
    expect(await takeAlong(server(), never, false)).toBe(true);
    expect(asked).toContain('/api/v1/team');
    expect(asked).not.toContain('/api/v1/visit');
    expect(await takeAlong(server(), never, true)).toBe(true);
    expect(asked).toContain('/api/v1/visit');
  });
  it('is the earlier readings of each piece in use that was ever inspected, where its sheet has measures', async () => {
    const inspected = { kind: 'steel-shackle', state: 'in-use', inspection: { nextDue: '2026-02-01' }, factsRevision: 1 };
    pieces.push(
      { ...inspected, gearId: 'late' },
      { ...inspected, gearId: 'early', inspection: { nextDue: '2026-01-20' } },
      { ...inspected, gearId: 'retired', state: 'retired' },
      { ...inspected, gearId: 'never', inspection: undefined },
      { ...inspected, gearId: 'unmeasured', kind: 'gloves' },
    );
    await takeAlong(server(), never, true);
    pieces.splice(1);
    expect(asked.filter((address) => address.endsWith('/wear'))).toEqual(['/api/v1/gear/early/wear', '/api/v1/gear/late/wear']);
  });
  it('is read again only where the list tells of another state', async () => {
    await takeAlong(server(), never, true);
    asked = [];
    verdict = 'clear';
    await takeAlong(server(), never, true);
    expect(asked.filter((address) => address.startsWith('/api/v1/plans/'))).toEqual([
      '/api/v1/plans/p2',
      '/api/v1/plans/p2/comments',
      '/api/v1/plans/p2/versions',
    ]);
  });
  it('is left where the signal goes, and what was read stays', async () => {
    expect(await takeAlong(server('/api/v1/plans/p1'), never, true)).toBe(false);
    expect(await kept()).toEqual(expect.arrayContaining(['wholeRegister', '/api/v1/plans/p2']));
    expect(await kept()).not.toContain('/api/v1/plans/p1');
  });
  it('ends as soon as it is over for another reason', async () => {
    expect(await takeAlong(server(), () => true, true)).toBe(false);
    expect(asked).toHaveLength(1);
    expect(await kept()).toEqual([SESSION]);
  });
  it('lets go of what nothing asked for in sixty days, and of nothing else', async () => {
    const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
    await keepAnswer({ key: '/api/v1/plans/old', data: {}, at: ago(61) });
    await keepAnswer({ key: '/api/v1/plans/recent', data: {}, at: ago(59) });
    await takeAlong(server(), never, true);
    expect(await kept()).toContain('/api/v1/plans/recent');
    expect(await kept()).not.toContain('/api/v1/plans/old');
  });
});

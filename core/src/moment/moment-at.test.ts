import { describe, expect, it } from 'vitest';
import { judgeStart } from '../judgement/judge.ts';
import { rules } from '../judgement/rules/rule-list.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import { layouts } from '../testing/layouts.ts';
import type { Moment } from './moment.ts';
import { momentAt } from './moment-at.ts';

const near = (a: number, b: number) => (Number.isNaN(a) ? Number.isNaN(b) : Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a)));
const figures = ({ places }: Moment) => [...places.plannedN, ...places.greatestN, ...places.wllN, ...places.mbsN, ...places.perPullN];

describe('the next moment', () => {
  it.each(layouts)('of $file is the same from the one before as from nothing', ({ build }) => {
    const rig = resolveRig(build());
    const start = momentAt(rig, { travelM: 0 });
    const travelM = Math.min(0.4, (rig.rig.load.travelM ?? 1) / 2);
    const [warm, cold] = [momentAt(rig, { travelM }, start), momentAt(rig, { travelM })];
    expect(warm.failure?.kind).toBe(cold.failure?.kind);
    const [of, from] = [figures(warm), figures(cold)];
    expect(of).toHaveLength(from.length);
    of.forEach((value, index) => {
      expect(near(value, from[index] ?? Number.NaN), `figure ${index}: ${value} and ${from[index]}`).toBe(true);
    });
  });
  it('has capacities of its own: rope that comes in lies on a higher layer of the drum, where the winch pulls less', () => {
    const found = layouts.find(({ file }) => file === 'double-line-self-recovery');
    if (!found) throw new Error('no such layout');
    const rig = resolveRig(found.build());
    const drum = rig.places.find(({ kind }) => kind === 'drum');
    if (!drum) throw new Error('no drum');
    const capacity = (travelM: number) => momentAt(rig, { travelM }).places.wllN[drum.index] ?? Number.NaN;
    expect(capacity(8)).toBeLessThan(capacity(0));
  });
  it.each(rules.filter(({ margins }) => margins).map(({ code, margins }) => ({ code, margins })))(
    'has the margins of $code as they are told: below 0 or without a fact, and then something is said',
    ({ code, margins }) => {
      for (const { build } of layouts) {
        const subject = build();
        const start = momentAt(resolveRig(subject), { travelM: 0 });
        const all = margins?.(start.rig);
        const values = Array.from({ length: all?.count ?? 0 }, (_, index) => all?.at(start, index));
        const said = judgeStart(subject).findings.filter((finding) => finding.code === code);
        if (said.length > 0) expect(values.some((value) => value === undefined || value < 0)).toBe(true);
        if (values.some((value) => value !== undefined && value < 0)) expect(said.length).toBeGreaterThan(0);
      }
    },
  );
});

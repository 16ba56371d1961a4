import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../quantity/calendar.ts';
import { type Case, readRigFile } from '../../rig/case.ts';
import { judge } from '../judge.ts';

const folder = new URL('../../../../demo/plans/', import.meta.url);
const plans = readdirSync(folder).map((name): readonly [string, Case] => {
  const file = readRigFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return [name, file.value.case];
});

// A report that was kept is shown as today's for as long as it says that it is good, so nothing in it may count days.
describe('a report that is good until a day', () => {
  it.each(plans)('says the same on every day until then: %s', (_name, subject) => {
    const { asOf: _first, ...report } = judge(subject);
    const until = report.goodUntil ?? '';
    expect(until > subject.asOf).toBe(true);
    for (const day of [addDays(subject.asOf, 1), addDays(until, -30), addDays(until, -1), until]) {
      const { asOf, ...then } = judge({ ...subject, asOf: day });
      expect([asOf, then]).toEqual([day, report]);
    }
  });
  it.each(plans)('says something else on the day after: %s', (_name, subject) => {
    const { findings, goodUntil = '' } = judge(subject);
    expect(judge({ ...subject, asOf: addDays(goodUntil, 1) }).findings).not.toEqual(findings);
  });
});

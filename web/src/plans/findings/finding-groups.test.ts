import type { ToldFinding } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { groupedFindings, groupWords, severityOf } from './finding-groups.ts';

const finding = (code: string, id: string, change: Partial<ToldFinding> = {}): ToldFinding => ({
  id: `${code}@${id}`,
  code,
  severity: 'caution',
  undecided: false,
  subject: { kind: 'use', id },
  data: {},
  fixes: [],
  title: [],
  detail: [],
  why: '',
  ...change,
});
const briefly = (entries: ReturnType<typeof groupedFindings>) =>
  entries.map((entry) => ('act' in entry ? `${entry.act} ${entry.findings.map(({ subject }) => subject.id).join('')}` : entry.id));

describe('findings that one act settles', () => {
  it('stand together where the first of them stood; one alone stays as it is', () => {
    const found = [
      finding('over-limit', 'a'),
      finding('never-inspected', 'a'),
      finding('basis-unstated', 'a'),
      finding('inspection-overdue', 'b'),
      finding('near-limit', 'b'),
      finding('never-inspected', 'c'),
    ];
    expect(briefly(groupedFindings(found))).toEqual(['over-limit@a', 'inspect abc', 'basis-unstated@a', 'near-limit@b']);
    expect(groupedFindings([])).toEqual([]);
  });
  it('are counted in one line, and as grave as the gravest of them', () => {
    const [group] = groupedFindings([finding('never-inspected', 'a'), finding('inspection-overdue', 'b', { severity: 'fix' })]);
    if (!group || !('act' in group)) throw new Error('not grouped');
    expect(groupWords(group)).toEqual({ title: '2 pieces need inspecting', why: '1 never inspected, 1 overdue.' });
    expect(severityOf(group)).toBe('fix');
  });
  it('hang dampers together only where one can be hung', () => {
    const add = { fixes: [{ kind: 'add-damper', label: 'Hang a damper', lineId: 'l', strand: 0 }] } as unknown as Partial<ToldFinding>;
    expect(briefly(groupedFindings([finding('no-damper', 'a', add), finding('no-damper', 'b', add)]))).toEqual(['hang-dampers ab']);
    expect(briefly(groupedFindings([finding('no-damper', 'a'), finding('no-damper', 'b', add)]))).toEqual(['no-damper@a', 'no-damper@b']);
  });
});

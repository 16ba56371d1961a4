import { describe, expect, it } from 'vitest';
import { counted, findingId, isAnsweredBy } from './finding.ts';

const subject = { kind: 'use', id: 'sling' } as const;
const finding = (place?: string) => ({ id: findingId('tight-bend', { subject, place }), code: 'tight-bend', subject });

describe('a finding is known by rule, subject and place', () => {
  it('so that two places of one piece are two findings, and an answer for one is none for the other', () => {
    const [first, second] = [finding('over-larch'), finding('over-oak')];
    expect(first.id).not.toBe(second.id);
    const answer = { findingId: first.id, covers: 'finding' } as const;
    expect(isAnsweredBy(first, answer)).toBe(true);
    expect(isAnsweredBy(second, answer)).toBe(false);
  });
  it('and what was answered before ids had places covers all places of that subject, but no other rule and no other subject', () => {
    const answer = { findingId: findingId('tight-bend', { subject }), covers: 'rule-and-subject' } as const;
    expect(isAnsweredBy(finding('over-larch'), answer)).toBe(true);
    expect(isAnsweredBy(finding('over-oak'), answer)).toBe(true);
    expect(isAnsweredBy(finding(), answer)).toBe(true);
    expect(isAnsweredBy({ ...finding(), code: 'narrow-groove' }, answer)).toBe(false);
    expect(isAnsweredBy({ ...finding(), subject: { kind: 'use', id: 'line' } }, answer)).toBe(false);
  });
  it('and one without a place is not covered by an answer for one with a place', () => {
    expect(isAnsweredBy(finding(), { findingId: finding('over-larch').id, covers: 'finding' })).toBe(false);
  });
});

it.each([
  ['stop', true, 'caution'],
  ['fix', true, 'caution'],
  ['note', true, 'note'],
  ['stop', false, 'stop'],
] as const)('a %s, undecided %s, counts as a %s', (severity, undecided, as) => {
  expect(counted({ severity, undecided })).toBe(as);
});

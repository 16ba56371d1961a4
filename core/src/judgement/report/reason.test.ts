import { expect, it } from 'vitest';
import type { Finding } from './finding.ts';
import { reasonOf } from './reason.ts';

const finding = (severity: Finding['severity'], undecided = false): Finding => ({
  id: severity,
  code: severity,
  severity,
  undecided,
  subject: { kind: 'rig', id: 'rig' },
  data: {},
  fixes: [],
});

it('a verdict follows from the first finding, unless that decides nothing', () => {
  expect(reasonOf([finding('stop'), finding('note')])?.code).toBe('stop');
  expect(reasonOf([finding('caution', true)])?.code).toBe('caution');
  expect(reasonOf([finding('note')])).toBeUndefined();
  expect(reasonOf([])).toBeUndefined();
});

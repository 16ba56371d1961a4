import { expect, it } from 'vitest';
import { dutyBeside } from './duty-words.ts';

it('a duty stands beside a name, and not beside its own', () => {
  expect(dutyBeside({ label: 'Tomas Aldbrook', duty: 'drum-watcher' })).toBe('watches the drum');
  expect(dutyBeside({ label: 'Operator', duty: 'operator' })).toBeUndefined();
  expect(dutyBeside({ label: 'Signaller', duty: 'signaller' })).toBeUndefined();
  expect(dutyBeside({ label: 'Signaller', duty: 'operator' })).toBe('operator');
});

import type { Place } from '../../../moment/assessment.ts';
import type { Fix } from '../../rule.ts';

/** The fix for a piece that is too weak: choose another for its place. */
export function stronger({ owner }: Place): readonly Fix[] {
  return owner.kind === 'use' ? [{ kind: 'choose-piece', label: 'Choose a stronger piece', useId: owner.use.id }] : [];
}

import { rich } from '../../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

export const runsByItself: Rule = {
  code: 'runs-by-itself',
  severity: 'caution',
  softenable: false,
  why: 'Downhill the vehicle may run on the line or past it; it must be held, not pulled.',
  needs: 'slope along the pull, resistance',
  check: ({ effort, rig }) => {
    const heldBack = rig.purpose === 'lower' || rig.purpose === 'hold';
    if (effort.kind !== 'estimated' || !effort.runsByItself || heldBack) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The vehicle may roll by itself`,
        detail: rich`By at least one method the slope moves it without any pull. Hold it with brakes, chocks and a safety line before freeing it.`,
      },
    ];
  },
};

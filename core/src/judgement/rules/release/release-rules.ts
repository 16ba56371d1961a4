import type { Rule } from '../../ask/rule.ts';
import { damperToMove } from './damper-to-move.ts';
import { lanyardFixed } from './lanyard-fixed.ts';
import { lanyardTooShort } from './lanyard-too-short.ts';
import { lanyardTooWeak } from './lanyard-too-weak.ts';
import { leftOverloaded } from './left-overloaded.ts';
import { noDamper } from './no-damper.ts';
import { runsIfParted } from './runs-if-parted.ts';

export const releaseRules: readonly Rule[] = [
  damperToMove,
  leftOverloaded,
  runsIfParted,
  lanyardFixed,
  lanyardTooShort,
  lanyardTooWeak,
  noDamper,
];

import type { Rule } from '../../ask/rule.ts';
import { metalBetweenStretch } from './metal-between-stretch.ts';
import { restTooShort } from './rest-too-short.ts';
import { staticWithRunUp } from './static-with-run-up.ts';
import { stretchInWinchRig } from './stretch-in-winch-rig.ts';
import { stretchNotAllowed } from './stretch-not-allowed.ts';
import { stretchPullsUsedUp } from './stretch-pulls-used-up.ts';
import { stretchTooStiff } from './stretch-too-stiff.ts';
import { stretchTooWeak } from './stretch-too-weak.ts';
import { winchLineAsTow } from './winch-line-as-tow.ts';

export const stretchRules: readonly Rule[] = [
  metalBetweenStretch,
  restTooShort,
  staticWithRunUp,
  stretchInWinchRig,
  stretchNotAllowed,
  stretchPullsUsedUp,
  stretchTooStiff,
  stretchTooWeak,
  winchLineAsTow,
];

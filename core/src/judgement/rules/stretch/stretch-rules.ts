import type { Rule } from '../../ask/rule.ts';
import { cabInLine } from './cab-in-line.ts';
import { doesNotFree } from './does-not-free.ts';
import { metalBetweenStretch } from './metal-between-stretch.ts';
import { noSafeRunUp } from './no-safe-run-up.ts';
import { pullAcross } from './pull-across.ts';
import { pullOffHeading } from './pull-off-heading.ts';
import { restTooShort } from './rest-too-short.ts';
import { runUpNeedsSlack } from './run-up-needs-slack.ts';
import { runUpOnJudgedPoint } from './run-up-on-judged-point.ts';
import { runUpProposed } from './run-up-proposed.ts';
import { runUpTooFast } from './run-up-too-fast.ts';
import { runUpUnknown } from './run-up-unknown.ts';
import { staticWithRunUp } from './static-with-run-up.ts';
import { stretchInWinchRig } from './stretch-in-winch-rig.ts';
import { stretchNotAllowed } from './stretch-not-allowed.ts';
import { stretchPullsUsedUp } from './stretch-pulls-used-up.ts';
import { stretchTooStiff } from './stretch-too-stiff.ts';
import { stretchTooWeak } from './stretch-too-weak.ts';
import { winchLineAsTow } from './winch-line-as-tow.ts';

export const stretchRules: readonly Rule[] = [
  cabInLine,
  doesNotFree,
  noSafeRunUp,
  pullAcross,
  pullOffHeading,
  runUpNeedsSlack,
  runUpOnJudgedPoint,
  runUpProposed,
  runUpTooFast,
  runUpUnknown,
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

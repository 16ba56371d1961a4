import type { Rule } from '../../ask/rule.ts';
import { gripSlips } from './grip-slips.ts';
import { handTooFew } from './hand-too-few.ts';
import { limitedByStatement } from './limited-by-statement.ts';
import { nearBreaking } from './near-breaking.ts';
import { nearLimit } from './near-limit.ts';
import { notSolved } from './not-solved.ts';
import { oneCheckOnly } from './one-check-only.ts';
import { overBreakingMargin } from './over-breaking-margin.ts';
import { overLimit } from './over-limit.ts';
import { overLinePullLimit } from './over-line-pull-limit.ts';
import { pullChosenByPerson } from './pull-chosen-by-person.ts';
import { pullChosenLow } from './pull-chosen-low.ts';
import { pullNotEstimated } from './pull-not-estimated.ts';
import { sharedDrives } from './shared-drives.ts';
import { startOnly } from './start-only.ts';
import { towHasNoGrip } from './tow-has-no-grip.ts';
import { travelNotSaid } from './travel-not-said.ts';
import { wrongWay } from './wrong-way.ts';

export const limitsRules: readonly Rule[] = [
  startOnly,
  travelNotSaid,
  gripSlips,
  handTooFew,
  limitedByStatement,
  nearBreaking,
  nearLimit,
  notSolved,
  oneCheckOnly,
  overBreakingMargin,
  overLimit,
  overLinePullLimit,
  pullChosenByPerson,
  pullChosenLow,
  pullNotEstimated,
  sharedDrives,
  towHasNoGrip,
  wrongWay,
];

import type { Rule } from '../../ask/rule.ts';
import { inspectionOverdue } from './inspection-overdue.ts';
import { neverInspected } from './never-inspected.ts';
import { newAndUninspected } from './new-and-uninspected.ts';
import { noStrength } from './no-strength.ts';
import { outOfService } from './out-of-service.ts';
import { overloadedSinceInspection } from './overloaded-since-inspection.ts';
import { poorTermination } from './poor-termination.ts';
import { softGoodTooOld } from './soft-good-too-old.ts';
import { unknownTermination } from './unknown-termination.ts';

export const conditionRules: readonly Rule[] = [
  inspectionOverdue,
  neverInspected,
  newAndUninspected,
  noStrength,
  outOfService,
  overloadedSinceInspection,
  poorTermination,
  softGoodTooOld,
  unknownTermination,
];

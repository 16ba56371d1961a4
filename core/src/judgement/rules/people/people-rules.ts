import type { Rule } from '../../ask/rule.ts';
import { belowWhatRuns } from './below-what-runs.ts';
import { cutOffOutOfReach } from './cut-off-out-of-reach.ts';
import { inTheLoadsWay } from './in-the-loads-way.ts';
import { noSignaller } from './no-signaller.ts';
import { notPractised } from './not-practised.ts';
import { operatorBelowSlide } from './operator-below-slide.ts';
import { operatorElsewhere } from './operator-elsewhere.ts';
import { operatorInZone } from './operator-in-zone.ts';
import { operatorNotPlaced } from './operator-not-placed.ts';
import { operatorOutOfReach } from './operator-out-of-reach.ts';
import { ownerNotTold } from './owner-not-told.ts';
import { personInZone } from './person-in-zone.ts';

export const peopleRules: readonly Rule[] = [
  belowWhatRuns,
  inTheLoadsWay,
  cutOffOutOfReach,
  noSignaller,
  notPractised,
  operatorBelowSlide,
  operatorElsewhere,
  operatorInZone,
  operatorNotPlaced,
  operatorOutOfReach,
  ownerNotTold,
  personInZone,
];

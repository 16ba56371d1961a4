import type { Rule } from '../../ask/rule.ts';
import { batteryLow } from './battery-low.ts';
import { burstShortened } from './burst-shortened.ts';
import { drumOverfull } from './drum-overfull.ts';
import { drumSpool } from './drum-spool.ts';
import { fairleadAngle } from './fairlead-angle.ts';
import { layerTableRises } from './layer-table-rises.ts';
import { layerUndecided } from './layer-undecided.ts';
import { lineTooShort } from './line-too-short.ts';
import { pastStopMark } from './past-stop-mark.ts';
import { respoolTooLight } from './respool-too-light.ts';
import { tooFewWraps } from './too-few-wraps.ts';
import { winchOverRating } from './winch-over-rating.ts';
import { winchSmall } from './winch-small.ts';
import { winchStalls } from './winch-stalls.ts';

export const drumRules: readonly Rule[] = [
  batteryLow,
  burstShortened,
  drumOverfull,
  drumSpool,
  fairleadAngle,
  layerTableRises,
  layerUndecided,
  lineTooShort,
  pastStopMark,
  respoolTooLight,
  tooFewWraps,
  winchOverRating,
  winchSmall,
  winchStalls,
];

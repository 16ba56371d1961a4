import type { Rule } from '../../ask/rule.ts';
import { anchorCreep } from './anchor-creep.ts';
import { anchorUnrated } from './anchor-unrated.ts';
import { backAnchorStretches } from './back-anchor-stretches.ts';
import { deadmanLog } from './deadman-log.ts';
import { lineRoundTree } from './line-round-tree.ts';
import { parallelStraps } from './parallel-straps.ts';
import { slackLeg } from './slack-leg.ts';
import { strapHigh } from './strap-high.ts';
import { strapLegsTooWide } from './strap-legs-too-wide.ts';
import { strapLegsWide } from './strap-legs-wide.ts';
import { strapTooShort } from './strap-too-short.ts';
import { strapTwisted } from './strap-twisted.ts';
import { treeChoked } from './tree-choked.ts';
import { treeThin } from './tree-thin.ts';
import { treeTooThin } from './tree-too-thin.ts';
import { unequalBridle } from './unequal-bridle.ts';

export const anchorsRules: readonly Rule[] = [
  anchorCreep,
  anchorUnrated,
  backAnchorStretches,
  deadmanLog,
  lineRoundTree,
  parallelStraps,
  slackLeg,
  strapHigh,
  strapLegsTooWide,
  strapLegsWide,
  strapTooShort,
  strapTwisted,
  treeChoked,
  treeThin,
  treeTooThin,
  unequalBridle,
];

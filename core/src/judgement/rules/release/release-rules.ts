import type { Rule } from '../../ask/rule.ts';
import { lanyardFixed } from './lanyard-fixed.ts';
import { lanyardTooShort } from './lanyard-too-short.ts';
import { lanyardTooWeak } from './lanyard-too-weak.ts';
import { noDamper } from './no-damper.ts';

export const releaseRules: readonly Rule[] = [lanyardFixed, lanyardTooShort, lanyardTooWeak, noDamper];

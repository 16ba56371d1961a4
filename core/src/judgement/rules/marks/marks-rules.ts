import type { Rule } from '../../ask/rule.ts';
import { advertOnly } from './advert-only.ts';
import { ambiguousTon } from './ambiguous-ton.ts';
import { basisUnstated } from './basis-unstated.ts';
import { markAboveQuotient } from './mark-above-quotient.ts';
import { settingDecided } from './setting-decided.ts';
import { unrated } from './unrated.ts';

export const marksRules: readonly Rule[] = [advertOnly, ambiguousTon, basisUnstated, markAboveQuotient, settingDecided, unrated];

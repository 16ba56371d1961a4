import type { Rule } from '../ask/rule.ts';
import { anchorsRules } from './anchors/anchors-rules.ts';
import { conditionRules } from './condition/condition-rules.ts';
import { drumRules } from './drum/drum-rules.ts';
import { fitRules } from './fit/fit-rules.ts';
import { limitsRules } from './limits/limits-rules.ts';
import { marksRules } from './marks/marks-rules.ts';
import { peopleRules } from './people/people-rules.ts';
import { releaseRules } from './release/release-rules.ts';
import { routeRules } from './route/route-rules.ts';
import { serviceRules } from './service/service-rules.ts';
import { stanceRules } from './stance/stance-rules.ts';
import { stretchRules } from './stretch/stretch-rules.ts';

/** What stands before everything else where two findings are equally grave: that nothing can be said at all, then the plain limits. */
const FIRST: readonly string[] = [
  'not-solved',
  'piece-missing',
  'wrong-way',
  'pull-not-estimated',
  'no-strength',
  'unrated',
  'out-of-service',
  'over-limit',
  'over-breaking-margin',
];
const rank = (code: string) => (FIRST.includes(code) ? FIRST.indexOf(code) : FIRST.length);

/** Every rule, in the order in which findings of one severity are shown. Adding a rule touches its file and this list. */
export const rules: readonly Rule[] = [
  ...anchorsRules,
  ...conditionRules,
  ...drumRules,
  ...fitRules,
  ...limitsRules,
  ...marksRules,
  ...peopleRules,
  ...releaseRules,
  ...routeRules,
  ...serviceRules,
  ...stanceRules,
  ...stretchRules,
].sort((a, b) => rank(a.code) - rank(b.code) || (a.code < b.code ? -1 : 1));

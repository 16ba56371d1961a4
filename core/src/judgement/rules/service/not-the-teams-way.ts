import { isClass, traitsOf } from '../../../gear/traits.ts';
import type { Schools } from '../../../policy/schools.ts';
import { rich } from '../../../quantity/format.ts';
import type { ChosenUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';

export const notTheTeamsWay = rigRule({
  code: 'not-the-teams-way',
  severity: 'note',
  softenable: true,
  why: 'A rig that differs from what the team has agreed surprises whoever checks it.',
  needs: ['use.piece', 'gear.class', 'policy', 'line.way'],
  subjects: ({ chosen }) => chosen,
  about: aboutUse,
  answer: (rig, use) => {
    const wanted = wantedInstead(rig, use);
    return wanted === undefined ? undefined : found({ name: pieceName(use.piece), wanted }, chooseAnother(use));
  },
  title: ({ name, wanted }) => rich`${name}: this team uses ${wanted} here`,
  detail: () => rich`Both are used; the team’s settings say which.`,
});

/** What the team would take in a place instead, in words; undefined where it is as agreed. */
function wantedInstead({ policy: { schools } }: ResolvedRig, use: ChosenUse): string | undefined {
  const { piece } = use;
  if (use.use.role === 'connector') return wantedConnector(schools, use);
  if (schools.lineEnd === 'closed-first' && isClass(piece, 'winch-hook')) return 'a closed link';
  if (schools.pulley === 'ring' && isClass(piece, 'snatch-block')) return 'a ring';
  return schools.pulley === 'block' && isClass(piece, 'recovery-ring') ? 'a block' : undefined;
}

/** Metal or soft: what joins a strap's eyes at an anchor has a way of its own. */
function wantedConnector({ connectors, strapJoinedBy }: Schools, { piece, inner }: ChosenUse): string | undefined {
  const isMetal = !traitsOf(piece).soft;
  const wanted = inner?.use.role === 'tree-strap' && strapJoinedBy !== 'either' ? strapJoinedBy : WANTED[connectors];
  if (wanted === 'soft-shackle') return isMetal ? 'a soft shackle' : undefined;
  return wanted === 'steel-shackle' && !isMetal ? 'a metal connector' : undefined;
}

const WANTED: { readonly [C in Schools['connectors']]: 'soft-shackle' | 'steel-shackle' | undefined } = {
  'soft-where-edges-allow': undefined,
  soft: 'soft-shackle',
  metal: 'steel-shackle',
};

import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, found, ownerName } from '../../ask/speak.ts';

export const anchorUnrated = momentRule({
  code: 'anchor-unrated',
  severity: 'stop',
  softenable: false,
  why: 'Nobody can say what an anchor without a figure holds.',
  needs: ['anchor.judged', 'gear.marks', 'use.piece'],
  subjects: ({ places }) => places.filter(({ kind }) => kind === 'anchor'),
  about: aboutPlace,
  margin: ({ places }, { index }) => (places.present[index] === 1 && Number.isNaN(places.wllN[index] ?? Number.NaN) ? -1 : 1),
  answer: (_, place) => found({ name: ownerName(place) }),
  title: ({ name }) => rich`Nothing says what ${name} holds`,
  detail: () => rich`State a working and a failing number with a name and a reason, choose a rated anchor, or take another.`,
});

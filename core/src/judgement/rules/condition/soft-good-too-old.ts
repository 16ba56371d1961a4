import { traitsOf } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { ageLimitDay } from '../../../rating/age-limit.ts';
import { aboutNamed, anotherFor, type NamedPiece, namedPieces } from '../../ask/named-pieces.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const softGoodTooOld = rigRule({
  code: 'soft-good-too-old',
  severity: 'fix',
  softenable: true,
  why: 'Fibre loses strength with years and light in ways that do not show.',
  needs: ['lanyard.tie', 'dampers', 'tools', 'use.piece', 'gear.age', 'day', 'policy'],
  asks: 'When was it made, or first used?',
  subjects: namedPieces,
  about: aboutNamed,
  answer: ({ policy, asOf }, named) => {
    const { piece } = named;
    const limit = ageLimitDay(piece, policy);
    const data = { name: pieceName(piece), years: policy.care.softGoodsYears.value, limit: limit ?? '' };
    if (limit === undefined)
      return traitsOf(piece).soft && bears(named) ? undecided(data, openPiece(piece, 'Enter when it was made')) : undefined;
    return limit < asOf ? found(data, anotherFor(named)) : undefined;
  },
  title: ({ name }) => rich`${name} is past its age limit`,
  detail: ({ years, limit }) => rich`Soft goods go out of use after ${String(years)} years; this one reached that on ${limit}.`,
  question: ({ name }) => rich`When was ${name} made, or first used? Nobody can see its age.`,
});

/** What never takes a load may be as old as it likes: a damper is a weight. */
const bears = ({ piece }: NamedPiece): boolean => !traitsOf(piece).damps && traitsOf(piece).use !== 'none';

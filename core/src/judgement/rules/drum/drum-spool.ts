import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, openPiece, pieceName, undecided, usesOfClass } from '../../ask/speak.ts';

export const drumSpool = rigRule({
  code: 'drum-spool',
  severity: 'fix',
  softenable: true,
  why: 'Turns spooled slack dive between the lower ones under load; a stack to one side jams and breaks the frame.',
  needs: ['use.piece', 'gear.spoolState'],
  asks: 'Was the line last spooled under tension?',
  subjects: (rig) => usesOfClass(rig, 'winch'),
  about: aboutUse,
  answer: (_, { piece }) => {
    const state = piece.attributes.spoolState;
    if (state === 'under-tension') return undefined;
    const data = { name: pieceName(piece), state: state ?? '' };
    return state === undefined ? undecided(data, openPiece(piece, 'Enter the spool state')) : found(data);
  },
  title: ({ name, state }) => rich`The line on ${name} is spooled ${state === 'slack' ? 'slack' : 'to one side'}`,
  detail: () => rich`Pull it out and re-spool it under tension before a heavy pull.`,
  question: ({ name }) => rich`Was the line on ${name} last spooled under tension?`,
});

import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided, usesOfClass } from '../../ask/speak.ts';

export const connectorUnlocked = rigRule({
  code: 'connector-unlocked',
  severity: 'fix',
  softenable: true,
  why: 'A gate without a lock opens as soon as it lies against something or the line goes slack.',
  needs: ['use.piece', 'gear.gate'],
  asks: 'How does its gate lock?',
  subjects: (rig) => usesOfClass(rig, 'carabiner'),
  about: aboutUse,
  answer: (_, use) => {
    const { gate } = use.piece.attributes;
    const data = { name: pieceName(use.piece) };
    if (gate === undefined) return undecided(data, openPiece(use.piece, 'Enter its gate'));
    return gate === 'plain' ? found(data, chooseAnother(use)) : undefined;
  },
  title: ({ name }) => rich`The gate of ${name} has no lock`,
  detail: () => rich`Use a connector with a screw or a gate that locks by itself, or a shackle.`,
  question: ({ name }) => rich`Does the gate of ${name} lock?`,
});

import { rich } from '../../../quantity/format.ts';
import { aboutNamed, anotherFor, namedPieces } from '../../ask/named-pieces.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, pieceName } from '../../ask/speak.ts';

export const inspectionOverdue = rigRule({
  code: 'inspection-overdue',
  severity: 'caution',
  softenable: true,
  why: 'Its last inspection is older than the team allows.',
  needs: ['lanyard.tie', 'dampers', 'tools', 'use.piece', 'gear.inspection', 'day'],
  subjects: namedPieces,
  about: aboutNamed,
  answer: ({ asOf }, named) => {
    const { piece } = named;
    const { inspection } = piece;
    const due = inspection?.nextDue;
    if (inspection === undefined || due === undefined || due >= asOf) return undefined;
    return found({ name: pieceName(piece), due, on: inspection.on }, anotherFor(named));
  },
  title: ({ name }) => rich`${name} is overdue for inspection`,
  detail: ({ due, on }) => rich`Due ${due}, last inspected ${on}. Look it over now or take another.`,
});

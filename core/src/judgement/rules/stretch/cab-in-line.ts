import { traitsOf } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutTow, runUps } from './run-ups.ts';

export const cabInLine = rigRule({
  code: 'cab-in-line',
  severity: 'note',
  softenable: true,
  why: 'What lets go in a straight pull flies along the rope, at whoever sits at its other end.',
  needs: ['use.piece', 'gear.class', 'line.way'],
  subjects: runUps,
  about: aboutTow,
  answer: ({ load }, { line, towing }) => {
    const ends = [line.stops[0]?.chain, line.stops.at(-1)?.chain].flatMap((chain) => chain?.uses ?? []);
    const metal = ends.flatMap(({ piece }) =>
      piece && !traitsOf(piece).soft && traitsOf(piece).flies === 'with-its-mass' ? [piece.tag] : [],
    );
    return towing === undefined ? undefined : found({ front: load.body.label, back: towing.label, metal });
  },
  title: ({ front, back }) => rich`Both cabs, of ${back} and ${front}, are in line with what would fly`,
  detail: ({ metal }) =>
    metal.length > 0
      ? rich`${metal.join(', ')} would fly with the rope. Use soft connectors where they fit, hang dampers behind the folded slack, bonnets up, heads down, nobody else inside.`
      : rich`Only rope would fly. Hang dampers behind the folded slack, bonnets up, heads down, nobody else inside.`,
});

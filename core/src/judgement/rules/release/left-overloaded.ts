import { force, length, rich } from '../../../quantity/format.ts';
import { lineWords } from '../../../rig/line-words.ts';
import { actRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const leftOverloaded = actRule({
  code: 'left-overloaded',
  severity: 'caution',
  softenable: true,
  why: 'When one line parts, the load falls into what is left, with up to twice its force at the first moment.',
  needs: ['line.way', 'ground.slope', 'vehicle.stance', 'gear.marks'],
  subjects: ({ lines }) => (lines.length > 1 ? lines : []),
  about: ({ line }) => ({ subject: { kind: 'strand', id: `${line.id}.0` } }),
  answer: ({ rig, release: { left } }, { line }) => {
    const strained = left
      .filter(({ lineId }) => lineId === line.id)
      .flatMap(({ strained: all, atM }) => all.map((entry) => ({ ...entry, atM })));
    const [worst] = strained.sort((a, b) => b.loadN / b.mbsN - a.loadN / a.mbsN);
    return (
      worst && found({ line: lineWords(rig.subject.rig, line.id), name: worst.name, loadN: worst.loadN, mbsN: worst.mbsN, atM: worst.atM })
    );
  },
  title: ({ line, name }) => rich`If ${line} parts, ${name} may follow`,
  detail: ({ loadN, mbsN, atM }) =>
    rich`It would carry ${force(loadN)} at rest and up to twice that at the first moment, ${length(atM)} on the way; it breaks at ${force(mbsN)}. Use a stronger piece there, or a brake that holds the load.`,
});

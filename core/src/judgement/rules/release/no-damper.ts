import { spanLengthM } from '../../../moment/forces.ts';
import { length, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { legName, legNamed } from '../../ask/leg-name.ts';
import { momentRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const noDamper = momentRule({
  code: 'no-damper',
  severity: 'fix',
  softenable: true,
  why: 'A damper on every tensioned leg drags a breaking line to the ground.',
  needs: ['dampers', 'line.way', 'policy'],
  subjects: ({ lines }) => lines.flatMap((line) => line.spans.flatMap((_, span) => (line.damped[span] ? [] : [{ line, span }]))),
  about: ({ line, span }) => ({ subject: { kind: 'strand', id: `${line.line.id}.${span}` } }),
  margin: ({ shown, rig }, { line, span }) => {
    if (shown === undefined) return Number.POSITIVE_INFINITY;
    // A leg shorter than this needs none; one exactly as long does.
    const lengthM = spanLengthM(line, span, shown.balance);
    return fallsShort(lengthM, rig.policy.care.damperExemptM.value) ? rig.policy.care.damperExemptM.value - lengthM : -lengthM;
  },
  answer: ({ shown, rig }, { line, span }) => {
    if (shown === undefined) return undefined;
    const data = { ...legNamed(rig, { line, span }), lengthM: spanLengthM(line, span, shown.balance) };
    return found(data, [{ kind: 'add-damper', label: 'Hang a damper', lineId: data.lineId, strand: span }]);
  },
  title: (leg) => rich`No damper on ${legName(leg)}`,
  detail: ({ lengthM }) => rich`It is ${length(lengthM)} long and under tension.`,
});

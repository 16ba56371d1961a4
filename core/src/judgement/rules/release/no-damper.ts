import { spanLengthM } from '../../../moment/forces.ts';
import { length, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { legNamed } from '../../ask/leg-name.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const noDamper = momentRule({
  code: 'no-damper',
  severity: 'fix',
  softenable: true,
  why: 'A damper on every tensioned leg drags a breaking line to the ground.',
  needs: ['dampers', 'line.way', 'policy', 'gear.massKg', 'gear.state', 'gear.inspection'],
  asks: 'How heavy is the damper?',
  subjects: ({ lines }) => lines.flatMap((line) => line.spans.flatMap((_, span) => (line.damped[span] === 'yes' ? [] : [{ line, span }]))),
  about: ({ line, span }) => ({ subject: { kind: 'strand', id: `${line.line.id}.${span}` } }),
  margin: ({ shown, rig }, { line, span }) => {
    if (shown === undefined) return Number.POSITIVE_INFINITY;
    // A leg shorter than this needs none; one exactly as long does.
    const lengthM = spanLengthM(line, span, shown.balance);
    if (fallsShort(lengthM, rig.policy.care.damperExemptM.value)) return rig.policy.care.damperExemptM.value - lengthM;
    // Where the team holds one a line to be enough, one that counts anywhere on it is.
    if (rig.policy.schools.dampers === 'one-a-line' && line.damped.includes('yes')) return Number.POSITIVE_INFINITY;
    return line.damped[span] === 'unknown' ? undefined : -lengthM;
  },
  answer: ({ shown, rig }, { line, span }) => {
    if (shown === undefined) return undefined;
    const hung = rig.dampers.filter(({ lineId, strand }) => lineId === line.line.id && strand === span);
    const useless = hung.map(({ piece, whyNot }) => (piece && whyNot ? `${pieceName(piece)} ${whyNot}` : '')).filter(Boolean);
    const [unknown] = hung.filter(({ counts }) => counts === 'unknown');
    const data = {
      ...legNamed(rig, { line, span }),
      lengthM: spanLengthM(line, span, shown.balance),
      useless,
      damper: unknown?.piece?.tag ?? '',
    };
    if (line.damped[span] === 'unknown') return undecided(data, unknown?.piece && openPiece(unknown.piece, 'Enter its mass'));
    return found(data, [{ kind: 'add-damper', label: 'Hang a damper', lineId: line.line.id, strand: span }]);
  },
  title: ({ leg }) => rich`No damper on ${leg}`,
  detail: ({ lengthM, useless }) =>
    rich`It is ${length(lengthM)} long and under tension.${useless.length > 0 ? ` What hangs there does not count: ${useless.join('; ')}.` : ''}`,
  question: ({ damper, leg }) => rich`How heavy is the damper ${damper} on ${leg}? One that is too light drags nothing down.`,
});

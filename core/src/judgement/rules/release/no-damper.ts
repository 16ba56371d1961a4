import { length, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { strandsAt } from '../../report/drawing-facts.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const noDamper: Rule = {
  code: 'no-damper',
  severity: 'fix',
  softenable: true,
  why: 'A damper on every tensioned leg drags a breaking line to the ground.',
  needs: 'dampers, lengths of the legs',
  check: (assessment) =>
    strandsAt(assessment).map(({ lineId, index, lengthM }): Answer => {
      const subject = { kind: 'strand', id: `${lineId}.${index}` } as const;
      const held = assessment.rig.dampers.some((damper) => damper.lineId === lineId && damper.strand === index);
      if (held || fallsShort(lengthM, assessment.policy.care.damperExemptM.value)) return notFound(subject);
      const name =
        index === 0 && assessment.rig.lines.length === 1
          ? 'the winch leg'
          : `leg ${index + 1} of ${assessment.rig.lines.length === 1 ? 'the line' : lineId.replaceAll('-', ' ')}`;
      return {
        kind: 'found',
        subject,
        title: rich`No damper on ${name}`,
        detail: rich`It is ${length(lengthM)} long and under tension.`,
        fixes: [{ kind: 'add-damper', label: 'Hang a damper', lineId, strand: index }],
      };
    }),
};

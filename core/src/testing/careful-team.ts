import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit, type Edit } from '../rig/edits.ts';
import type { Rig } from '../rig/rig.ts';
import { piece } from './example-case.ts';

/** Rounds in which a team goes through what it is asked; each answer may open another question. */
const ROUNDS = 6;

/**
 * A case as a careful team makes it before it pulls: every question looked at on the spot and found in order, a damper of its own on
 * every leg, the engine running. Nothing that is found is mended: what is wrong with the rig stays.
 */
export function madeSafe(subject: Case): Case {
  let now = subject;
  for (let round = 0; round < ROUNDS; round++) {
    const { findings } = judge(now);
    const edits = findings.flatMap((finding): readonly Edit[] => {
      if (finding.questionId !== undefined) return [{ kind: 'answer', questionId: finding.questionId, answer: 'yes' }];
      const [fix] = finding.fixes;
      if (finding.undecided && fix?.kind === 'edits') return fix.edits;
      return fix?.kind === 'add-damper' ? [damperOn(fix.lineId, fix.strand)] : [];
    });
    if (edits.length === 0) return now;
    now = withDampers({ ...now, rig: edits.reduce<Rig>((rig, edit) => applyEdit(rig, edit).rig, now.rig) });
  }
  return now;
}

const damperId = (lineId: string, strand: number) => `damper-${lineId}-${strand}`;
const damperOn = (lineId: string, strand: number): Edit => ({
  kind: 'put',
  list: 'dampers',
  entry: { id: damperId(lineId, strand), lineId, strand, gearId: damperId(lineId, strand) },
});

/** The case with the pieces of the dampers that were hung. */
function withDampers(subject: Case): Case {
  const known = new Set(subject.gear.map(({ id }) => id));
  const fresh = subject.rig.dampers.filter(({ gearId }) => !known.has(gearId));
  return {
    ...subject,
    gear: [...subject.gear, ...fresh.map(({ gearId }) => piece({ id: gearId, kind: 'damper', marks: [], attributes: { massKg: 2 } }))],
  };
}

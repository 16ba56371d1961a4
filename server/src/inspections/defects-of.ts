import { randomUUID } from 'node:crypto';
import type { InspectionAnswers, InspectionSheet, ProposedGrade } from '@wainrope/core';

interface Followed {
  readonly point: string;
  readonly failed: boolean;
}

interface NewDefect extends Followed {
  readonly defect_id: string;
  readonly words: string;
}

/** What was found as defects to be followed; one that is followed already is opened again only when it has become a failure. */
export function defectsOf({ reasons }: ProposedGrade, { notes }: InspectionAnswers, followed: readonly Followed[]): readonly NewDefect[] {
  return reasons.flatMap(({ id, grade, words }) => {
    const failed = grade === 'D';
    if (followed.some((entry) => entry.point === id && (entry.failed || !failed))) return [];
    const note = notes[id];
    return [{ defect_id: randomUUID(), point: id, words: note ? `${words} (${note})` : words, failed }];
  });
}

/** Points and measures that this inspection found in order. */
export function recoveredPoints(sheet: InspectionSheet, answers: InspectionAnswers, { reasons }: ProposedGrade): readonly string[] {
  const found = reasons.map(({ id }) => id);
  const points = sheet.points.filter(({ id }) => answers.points[id] === 'ok').map(({ id }) => id);
  const measures = sheet.measures.filter(({ id }) => answers.measures[id] !== undefined).map(({ id }) => id);
  return [...points, ...measures].filter((id) => !found.includes(id));
}

import { type GearView, isUseCheck } from '@wainrope/contract';
import {
  addMonths,
  type DecimalMark,
  type Grade,
  type InspectionAnswers,
  type InspectionSheet,
  openPoints,
  type ProposedGrade,
  proposeGrade,
} from '@wainrope/core';
import type { BenchDraft } from './bench-store.ts';
import { readMeasure } from './read-measure.ts';

export interface DraftOutcome {
  readonly answers: InspectionAnswers;
  readonly proposed: ProposedGrade;
  /** The person's choice, else the proposal. */
  readonly grade: Grade;
  /** What still stands in the way of confirming, one line each. */
  readonly open: readonly string[];
}

/** A worn piece is looked at again in half the time. */
const HALF_FROM: Grade = 'C';

/** What a draft amounts to: answers as core reads them, the proposed grade, and what is still open. */
export function draftOutcome(draft: BenchDraft, sheet: InspectionSheet, piece: GearView, decimal: DecimalMark): DraftOutcome {
  const faults: string[] = [];
  const measures = Object.fromEntries(
    sheet.measures.flatMap(({ id, label, quantity }) => {
      const taken = draft.measures[id];
      const value = readMeasure(quantity, taken?.typed ?? '', decimal);
      const whenNew = readMeasure(quantity, taken?.typedNew ?? '', decimal);
      for (const part of [value, whenNew]) if (part.kind === 'fault') faults.push(`${label}: ${part.message}`);
      if (value.kind !== 'value') return [];
      return [[id, { value: value.value, ...(whenNew.kind === 'value' && whenNew.value > 0 && { whenNew: whenNew.value }) }]];
    }),
  );
  const notes = Object.fromEntries(Object.entries(draft.notes).filter(([, words]) => words.trim() !== ''));
  const answers: InspectionAnswers = { points: draft.points, measures, notes };
  const proposed = proposeGrade(sheet, answers, piece.attributes as { readonly [key: string]: unknown });
  const grade = proposed.grade === 'D' ? 'D' : (draft.grade ?? proposed.grade);
  const unanswered = openPoints(sheet, answers).length;
  const open = [
    ...faults,
    ...(unanswered > 0 ? [`${unanswered} ${unanswered === 1 ? 'point has' : 'points have'} no answer yet.`] : []),
    ...(!isUseCheck(draft.kind) && grade < proposed.grade && draft.note.trim() === ''
      ? [`The findings speak for ${proposed.grade}. For ${grade}, say why in the remark.`]
      : []),
  ];
  return { answers, proposed, grade, open };
}

/** The next inspection by the sheet; a piece graded C is looked at again in half the time. */
export function proposedDue(on: string, sheet: InspectionSheet, grade: Grade): string {
  return addMonths(on, grade >= HALF_FROM ? Math.max(1, Math.floor(sheet.everyMonths / 2)) : sheet.everyMonths);
}

/** The request that keeps the inspection. */
export function requestOf(draft: BenchDraft, sheet: InspectionSheet, { answers, grade }: DraftOutcome): object {
  const check = isUseCheck(draft.kind);
  const pulls = Number(draft.pullsUsed);
  return {
    inspectionId: draft.inspectionId,
    gearId: draft.gearId,
    kind: draft.kind,
    on: draft.on,
    sheetVersion: draft.sheetVersion,
    answers,
    ...(!check && { grade }),
    ...(!check && grade !== 'D' && { nextDue: draft.nextDue || proposedDue(draft.on, sheet, grade) }),
    ...(draft.note.trim() && { note: draft.note.trim() }),
    ...(draft.returnsToUse && grade !== 'D' && { returnsToUse: true }),
    ...(draft.spoolState && { spoolState: draft.spoolState }),
    ...(draft.pullsUsed.trim() !== '' && Number.isInteger(pulls) && pulls >= 0 && { pullsUsed: pulls }),
  };
}

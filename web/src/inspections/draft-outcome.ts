import { type GearView, type InspectionCreate, isUseCheck } from '@wainrope/contract';
import {
  type DecimalMark,
  type Grade,
  gradeFault,
  type InspectionAnswers,
  type InspectionSheet,
  openPoints,
  type ProposedGrade,
  proposedDue,
  proposeGrade,
} from '@wainrope/core';
import type { BenchDraft } from '../outbox/bench-store.ts';
import { readMeasure } from './read-measure.ts';
import type { SheetInForce } from './use-sheets.ts';

export interface DraftOutcome {
  readonly answers: InspectionAnswers;
  readonly proposed: ProposedGrade;
  /** The person's choice, else the proposal. */
  readonly grade: Grade;
  /** What still stands in the way of confirming, one line each. */
  readonly open: readonly string[];
}

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
  // What an earlier version of the sheet asked stays on the device; only what this one asks is answered.
  const points = Object.fromEntries(sheet.points.flatMap(({ id }) => (draft.points[id] ? [[id, draft.points[id]]] : [])));
  const notes = Object.fromEntries(
    Object.entries(draft.notes).flatMap(([id, words]) => (points[id] && words.trim() ? [[id, words.trim()]] : [])),
  );
  const answers: InspectionAnswers = { points, measures, notes };
  const proposed = proposeGrade(sheet, answers, piece.attributes as { readonly [key: string]: unknown });
  const grade = proposed.grade === 'D' ? 'D' : (draft.grade ?? proposed.grade);
  const useCheck = isUseCheck(draft.kind);
  const fault = useCheck ? undefined : gradeFault({ useCheck, grade, nextDue: dueOf(draft, sheet, grade), note: draft.note }, proposed);
  const unanswered = openPoints(sheet, answers).length;
  const labelOf = new Map(sheet.measures.map(({ id, label }) => [id, label]));
  const open = [
    ...faults,
    ...proposed.unweighed.map((id) => `${labelOf.get(id)}: say what it measured when new, or leave the measure out.`),
    ...(pullsOf(draft) === 'fault' ? [`“${draft.pullsUsed}” is not a whole number of pulls.`] : []),
    ...(unanswered > 0 ? [`${unanswered} ${unanswered === 1 ? 'point has' : 'points have'} no answer yet.`] : []),
    ...(fault ? [fault.words] : []),
  ];
  return { answers, proposed, grade, open };
}

/** Pulls used as typed; nothing where the field was left empty. */
function pullsOf({ pullsUsed }: BenchDraft): number | undefined | 'fault' {
  if (pullsUsed.trim() === '') return undefined;
  const pulls = Number(pullsUsed);
  return Number.isInteger(pulls) && pulls >= 0 && pulls <= MOST_PULLS ? pulls : 'fault';
}
const MOST_PULLS = 10_000;

/** The next inspection as the inspector says, else by the sheet. */
const dueOf = ({ nextDue, on }: BenchDraft, sheet: InspectionSheet, grade: Grade): string => nextDue || proposedDue(on, sheet, grade);

interface RequestParts {
  readonly draft: BenchDraft;
  readonly inForce: SheetInForce;
  readonly outcome: DraftOutcome;
  readonly corrects?: string | undefined;
}

/** The request that keeps the inspection, by the sheet that was on the bench. */
export function requestOf({ draft, inForce: { sheet, version }, outcome: { answers, grade }, corrects }: RequestParts): InspectionCreate {
  const check = isUseCheck(draft.kind);
  const pulls = pullsOf(draft);
  return {
    inspectionId: draft.inspectionId,
    gearId: draft.gearId,
    kind: draft.kind,
    on: draft.on,
    sheetVersion: version,
    answers,
    ...(!check && { grade }),
    ...(!check && grade !== 'D' && { nextDue: dueOf(draft, sheet, grade) }),
    ...(draft.note.trim() && { note: draft.note.trim() }),
    ...(!check && draft.returnsToUse && grade !== 'D' && { returnsToUse: true }),
    ...(draft.spoolState && { spoolState: draft.spoolState }),
    ...(typeof pulls === 'number' && { pullsUsed: pulls }),
    ...(corrects !== undefined && { corrects }),
  };
}

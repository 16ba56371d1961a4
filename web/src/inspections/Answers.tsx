import type { GearView } from '@wainrope/contract';
import type { BenchDraft } from '../outbox/bench-store.ts';
import { useReadingQuestions } from '../wear/use-reading-questions.ts';
import { MeasureRow } from './MeasureRow.tsx';
import { PointRow } from './PointRow.tsx';
import type { useDraft } from './use-bench.ts';
import type { SheetInForce } from './use-sheets.ts';

interface AnswersProps {
  readonly piece: GearView;
  readonly sheet: SheetInForce['sheet'];
  readonly draft: BenchDraft;
  readonly decimal: '.' | ',';
  readonly change: ReturnType<typeof useDraft>['change'];
  readonly pass: () => void;
}

/** What is looked at and measured, each with what was answered. */
export function Answers({ piece, sheet, draft, decimal, change, pass }: AnswersProps) {
  const attributes = piece.attributes as { readonly [key: string]: unknown };
  const ask = useReadingQuestions(piece.gearId, draft.on);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 pt-4">
        <h2 className="text-xl">Look for</h2>
        <button type="button" className="action min-h-12 text-lg" onClick={pass}>
          Mark all the rest in order (A)
        </button>
      </div>
      {sheet.points.map((point) => (
        <PointRow
          key={point.id}
          point={point}
          answer={draft.points[point.id]}
          note={draft.notes[point.id] ?? ''}
          answered={(answer) => change(({ points }) => ({ points: { ...points, [point.id]: answer } }))}
          noted={(note) => change(({ notes }) => ({ notes: { ...notes, [point.id]: note } }))}
        />
      ))}
      {sheet.measures.length > 0 && <h2 className="pt-5 text-xl">Measure</h2>}
      {sheet.measures.map((measure) => (
        <MeasureRow
          key={measure.id}
          measure={measure}
          known={numberOr(measure.newFrom === undefined ? undefined : attributes[measure.newFrom])}
          typed={draft.measures[measure.id]?.typed ?? ''}
          typedNew={draft.measures[measure.id]?.typedNew ?? ''}
          decimal={decimal}
          ask={ask(measure)}
          changed={(value) => change(({ measures }) => ({ measures: { ...measures, [measure.id]: value } }))}
        />
      ))}
    </>
  );
}

const numberOr = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);

import { type DecimalMark, type MeasuredShare, measuredShare, type SheetMeasure } from '@wainrope/core';
import { limitWords, measureUnits, shareWords } from '../wear/measure-words.ts';
import { readMeasure } from './read-measure.ts';

interface MeasureRowProps {
  readonly measure: SheetMeasure;
  readonly known: number | undefined;
  readonly typed: string;
  readonly typedNew: string;
  readonly decimal: DecimalMark;
  /** What is to be asked about a value, where something is. */
  readonly ask?: ((value: number) => string | undefined) | undefined;
  readonly changed: (value: { readonly typed: string; readonly typedNew: string }) => void;
}

/** A measured value beside new and limit, with what it amounts to while it is typed. */
export function MeasureRow({ measure, known, typed, typedNew, decimal, ask, changed }: MeasureRowProps) {
  const { label, quantity, limit, source } = measure;
  const value = readMeasure(quantity, typed, decimal);
  const given = readMeasure(quantity, typedNew, decimal);
  const whenNew = known ?? (given.kind === 'value' ? given.value : undefined);
  const share = value.kind === 'value' && (whenNew === undefined || whenNew > 0) ? measuredShare(measure, value.value, whenNew) : undefined;
  const fault = [value, given].find((part) => part.kind === 'fault');
  const needsNew = limit.kind !== 'at-most' && known === undefined;
  const unit = measureUnits[quantity];
  return (
    <div className="border-b border-rule py-2">
      <div className="grid items-end gap-3 sm:grid-cols-[1fr_9rem_9rem]">
        <div>
          <span className="text-lg">{label}</span>
          <span className="block text-[14px] text-quiet">
            {limitWords(measure, known)} ({source})
          </span>
        </div>
        {needsNew ? (
          <label className="text-[15px]">
            When new{unit && `, ${unit}`}
            <input inputMode="decimal" value={typedNew} onChange={(event) => changed({ typed, typedNew: event.target.value })} />
          </label>
        ) : (
          <span />
        )}
        <label className="text-[15px]">
          Measured{unit && `, ${unit}`}
          <input
            inputMode="decimal"
            aria-label={`Measured: ${label}`}
            aria-invalid={value.kind === 'fault'}
            value={typed}
            onChange={(event) => changed({ typed: event.target.value, typedNew })}
          />
        </label>
      </div>
      <Outcome measure={measure} value={value} fault={fault?.kind === 'fault' ? fault.message : undefined} share={share} ask={ask} />
    </div>
  );
}

interface OutcomeProps {
  readonly measure: SheetMeasure;
  readonly value: ReturnType<typeof readMeasure>;
  readonly fault: string | undefined;
  readonly share: MeasuredShare | undefined;
  readonly ask: MeasureRowProps['ask'];
}

/** What a typed value amounts to, and what is to be asked about it. */
function Outcome({ measure, value, fault, share, ask }: OutcomeProps) {
  const question = value.kind === 'value' && fault === undefined ? ask?.(value.value) : undefined;
  const wantsNew = value.kind === 'value' && !share && measure.limit.kind !== 'at-most';
  return (
    <>
      <p aria-live="polite" className={`min-h-6 text-[15px] ${share?.over || fault ? 'font-semibold text-rust' : 'text-quiet'}`}>
        {fault}
        {!fault && share && shareWords(measure, share)}
        {!fault && wantsNew && 'Say what it measured when new; without that it cannot be judged.'}
      </p>
      {question && (
        <p role="status" className="mb-1 border-l-4 border-signal bg-amber-wash px-3 py-1 text-amber-ink">
          {question}
        </p>
      )}
    </>
  );
}

import { type DecimalMark, measuredShare, type SheetMeasure } from '@wainrope/core';
import { limitWords, measureUnits, shareWords } from './measure-words.ts';
import { readMeasure } from './read-measure.ts';

interface MeasureRowProps {
  readonly measure: SheetMeasure;
  readonly known: number | undefined;
  readonly typed: string;
  readonly typedNew: string;
  readonly decimal: DecimalMark;
  readonly changed: (value: { readonly typed: string; readonly typedNew: string }) => void;
}

/** A measured value beside new and limit, with what it amounts to while it is typed. */
export function MeasureRow({ measure, known, typed, typedNew, decimal, changed }: MeasureRowProps) {
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
      <p aria-live="polite" className={`min-h-6 text-[15px] ${share?.over || fault ? 'font-semibold text-rust' : 'text-quiet'}`}>
        {fault?.kind === 'fault' && fault.message}
        {!fault && share && shareWords(measure, share)}
        {!fault && value.kind === 'value' && !share && needsNew && 'Say what it measured when new; without that it cannot be weighed.'}
      </p>
    </div>
  );
}

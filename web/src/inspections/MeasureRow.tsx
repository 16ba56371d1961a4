import { type DecimalMark, formatFigure, length, measuredShare, type SheetMeasure, smallLength } from '@wainrope/core';
import { readMeasure } from './read-measure.ts';

interface MeasureRowProps {
  readonly measure: SheetMeasure;
  readonly known: number | undefined;
  readonly typed: string;
  readonly typedNew: string;
  readonly decimal: DecimalMark;
  readonly changed: (value: { readonly typed: string; readonly typedNew: string }) => void;
}

const UNITS: { readonly [Q in SheetMeasure['quantity']]: string } = {
  length: 'm',
  'small-length': 'mm',
  'angle-deg': '°',
  count: '',
  share: '%',
};

function valueWords(quantity: SheetMeasure['quantity'], value: number): string {
  if (quantity === 'length') return formatFigure(length(value));
  if (quantity === 'small-length') return formatFigure(smallLength(value));
  if (quantity === 'angle-deg') return `${Math.round(value)}°`;
  return quantity === 'share' ? `${Math.round(value * 1000) / 10} %` : String(value);
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
  const unit = UNITS[quantity];
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

function limitWords({ quantity, limit }: SheetMeasure, known: number | undefined): string {
  if (limit.kind === 'at-most') return limit.value === 0 ? 'none is allowed' : `at most ${valueWords(quantity, limit.value)}`;
  const percent = Math.round(limit.value * 1000) / 10;
  const edge = known === undefined ? undefined : known * (limit.kind === 'loss' ? 1 - limit.value : 1 + limit.value);
  const words = limit.kind === 'loss' ? `may lose ${percent} %` : `may grow by ${percent} %`;
  return known === undefined || edge === undefined
    ? words
    : `new ${valueWords(quantity, known)}; ${words}, that is ${limit.kind === 'loss' ? 'down' : 'up'} to ${valueWords(quantity, edge)}`;
}

function shareWords(
  { limit, quantity }: SheetMeasure,
  { change, used, over }: { readonly change: number; readonly used: number; readonly over: boolean },
): string {
  const what =
    limit.kind === 'at-most'
      ? valueWords(quantity, change)
      : `${limit.kind === 'loss' ? 'lost' : 'grown by'} ${Math.round(change * 1000) / 10} %`;
  if (over) return `${what}: over the limit, out of use.`;
  return limit.value === 0 ? `${what}: in order.` : `${what}: ${Math.round(used * 100)} % of what is allowed.`;
}

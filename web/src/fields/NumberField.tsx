import { FOOT_M } from '@wainrope/core';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../store.ts';

interface NumberFieldProps {
  readonly label: string;
  readonly unit: string;
  /** Undefined where nobody has said; then the field is empty. */
  readonly value: number | undefined;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** Places shown behind the point. */
  readonly decimals?: number;
  readonly onChange: (value: number) => void;
  /** What emptying the field does; without, an empty field is a fault. */
  readonly onClear?: () => void;
  /** Shown in an empty field. */
  readonly empty?: string;
}

/** Units of lengths and masses as a reader of pounds and feet has them: their name, and how many of SI's they are. */
const IMPERIAL: { readonly [unit: string]: readonly [name: string, si: number] | undefined } = {
  m: ['ft', FOOT_M],
  kg: ['lb', 0.45359237],
};

/** A number with its unit, in the reader's own. What is out of range is said and not taken; leaving the field shows the value that stands. */
export function NumberField({ unit, value, min, max, onChange, ...shared }: NumberFieldProps) {
  const imperial = useAppSelector((state) => state.settings.units) === 'lbf';
  const [name, si] = (imperial && IMPERIAL[unit]) || [unit, 1];
  const shown = (number: number, round = Math.round) => round((number / si) * 1000) / 1000;
  return (
    <PlainNumber
      {...shared}
      unit={name}
      value={value === undefined ? undefined : value / si}
      min={shown(min, Math.ceil)}
      max={shown(max, Math.floor)}
      onChange={(next) => onChange(si === 1 ? next : next * si)}
    />
  );
}

function PlainNumber({ label, unit, value, min, max, step, decimals = 2, onChange, onClear, empty }: NumberFieldProps) {
  const shown = value === undefined ? '' : String(Number(value.toFixed(decimals)));
  const [typed, setTyped] = useState(shown);
  useEffect(() => setTyped(shown), [shown]);
  const number = Number(typed.replace(',', '.'));
  const mayBeEmpty = onClear !== undefined || value === undefined;
  const bad = typed.trim() === '' ? !mayBeEmpty : !Number.isFinite(number) || number < min || number > max;
  const take = (text: string) => {
    setTyped(text);
    if (text.trim() === '' && value !== undefined) onClear?.();
    const next = Number(text.replace(',', '.'));
    if (text.trim() !== '' && Number.isFinite(next) && next >= min && next <= max) onChange(next);
  };
  return (
    <label className="block text-[15px]">
      {label}
      <span className="flex items-center gap-1.5">
        <input
          inputMode="decimal"
          value={typed}
          placeholder={empty}
          aria-invalid={bad}
          onChange={(event) => take(event.target.value)}
          onBlur={() => setTyped(shown)}
          onKeyDown={(event) => {
            const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
            if (by === 0 || bad) return;
            event.preventDefault();
            take(String(Number((number + by).toFixed(6))));
          }}
        />
        <span className="shrink-0 text-quiet">{unit}</span>
      </span>
      {bad && <span className="block text-rust">{`Expected ${min} to ${max} ${unit}.`}</span>}
    </label>
  );
}

import { useEffect, useState } from 'react';

interface NumberFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** A number with its unit. What is out of range is said and not taken; leaving the field shows the value that stands. */
export function NumberField({ label, unit, value, min, max, step, onChange }: NumberFieldProps) {
  const shown = String(Number(value.toFixed(2)));
  const [typed, setTyped] = useState(shown);
  useEffect(() => setTyped(shown), [shown]);
  const number = Number(typed.replace(',', '.'));
  const bad = typed.trim() === '' || !Number.isFinite(number) || number < min || number > max;
  const take = (text: string) => {
    setTyped(text);
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
          aria-invalid={bad}
          onChange={(event) => take(event.target.value)}
          onBlur={() => setTyped(shown)}
          onKeyDown={(event) => {
            const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
            if (by === 0 || bad) return;
            event.preventDefault();
            take(String(Number((number + by).toFixed(4))));
          }}
        />
        <span className="shrink-0 text-quiet">{unit}</span>
      </span>
      {bad && <span className="block text-rust">{`Expected ${min} to ${max} ${unit}.`}</span>}
    </label>
  );
}

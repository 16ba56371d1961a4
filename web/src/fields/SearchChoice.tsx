import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions, Field, Label } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { OPENED, ROW } from './choice-look.ts';
import type { ChoiceProps } from './choice-props.ts';

const holds = (words: string, typed: string): boolean =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => words.toLowerCase().includes(part));

/** One of many, found by typing a part of its words. */
export function SearchChoice<T extends string>(props: ChoiceProps<T>) {
  const { label, labelIsHidden = false, value, options, words, onChange, isOff, disabled = false, fault } = props;
  const [typed, setTyped] = useState('');
  const shown = options.filter((option) => holds(words(option), typed));
  const chosen = options.find((option) => option === value);
  return (
    <Field className="block" disabled={disabled}>
      <Label className={labelIsHidden ? 'sr-only' : ''}>{label}</Label>
      <Combobox<T | null>
        immediate
        value={chosen ?? null}
        onChange={(wanted) => wanted !== null && onChange(wanted)}
        onClose={() => setTyped('')}
      >
        <span className="relative block">
          <ComboboxInput
            className="w-full pr-11! placeholder:text-quiet"
            autoComplete="off"
            aria-invalid={fault !== undefined}
            displayValue={(wanted: T | null) => (wanted === null ? '' : words(wanted))}
            placeholder={props.placeholder ?? 'Choose …'}
            onFocus={(event) => event.target.select()}
            onClick={(event) => event.currentTarget.select()}
            onChange={(event) => setTyped(event.target.value)}
          />
          <ComboboxButton
            className="absolute inset-y-0 right-0 flex w-11 items-center justify-center"
            aria-label={`Show the choices for ${label}`}
          >
            <ChevronDown size={18} aria-hidden />
          </ComboboxButton>
        </span>
        <ComboboxOptions modal={false} anchor="bottom start" className={`${OPENED} w-(--input-width) min-w-56 empty:invisible`}>
          {shown.map((option) => (
            <ComboboxOption key={option} value={option} disabled={isOff?.(option) ?? false} className={ROW}>
              {words(option)}
            </ComboboxOption>
          ))}
          {shown.length === 0 && <li className="px-2 py-2.5 text-quiet">Nothing here matches.</li>}
        </ComboboxOptions>
      </Combobox>
    </Field>
  );
}

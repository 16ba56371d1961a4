import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions, Field, Label } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
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
  const chosenOf = (wanted: string | null) => options.find((option) => option === wanted);
  const wordsOf = (wanted: string | null): string => {
    const chosen = chosenOf(wanted);
    return chosen === undefined ? '' : words(chosen);
  };
  return (
    <Field className="block" disabled={disabled}>
      <Label className={labelIsHidden ? 'sr-only' : ''}>{label}</Label>
      <Combobox<string>
        immediate
        value={value}
        onChange={(wanted) => {
          const chosen = chosenOf(wanted);
          if (chosen !== undefined) onChange(chosen);
        }}
        onClose={() => setTyped('')}
      >
        <span className="relative block">
          <ComboboxInput
            className="w-full pr-11! placeholder:text-quiet"
            autoComplete="off"
            aria-invalid={fault !== undefined}
            displayValue={wordsOf}
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
        <ComboboxOptions
          modal={false}
          anchor="bottom start"
          className="z-40 max-h-72 w-(--input-width) min-w-56 overflow-y-auto border border-quiet bg-sheet shadow-lg empty:invisible"
        >
          {shown.map((option) => (
            <ComboboxOption
              key={option}
              value={option}
              disabled={isOff?.(option) ?? false}
              className="flex min-h-11 cursor-pointer items-center px-2 data-disabled:text-quiet data-disabled:line-through data-focus:bg-paper data-selected:font-semibold"
            >
              {words(option)}
            </ComboboxOption>
          ))}
          {shown.length === 0 && <li className="px-2 py-2.5 text-quiet">Nothing here matches.</li>}
        </ComboboxOptions>
      </Combobox>
    </Field>
  );
}

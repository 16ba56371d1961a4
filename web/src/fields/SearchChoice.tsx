import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions, Field, Label } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';

export interface Choice<T extends string> {
  readonly value: T;
  readonly words: string;
}

interface SearchChoiceProps<T extends string> {
  readonly label: string;
  /** The label is read out, not shown: a heading beside it says the same. */
  readonly labelIsHidden?: boolean;
  readonly value: T | '';
  readonly options: readonly Choice<T>[];
  readonly onChange: (value: T) => void;
  /** What stands there while nothing is chosen. */
  readonly placeholder?: string;
}

const holds = (words: string, typed: string): boolean =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => words.toLowerCase().includes(part));

/** One of many, found by typing a part of its words. */
export function SearchChoice<T extends string>(props: SearchChoiceProps<T>) {
  const { label, labelIsHidden = false, value, options, onChange, placeholder = 'Choose …' } = props;
  const [typed, setTyped] = useState('');
  const shown = options.filter(({ words }) => holds(words, typed));
  const wordsOf = (chosen: T | '') => options.find((option) => option.value === chosen)?.words ?? '';
  return (
    <Field className="block">
      <Label className={labelIsHidden ? 'sr-only' : ''}>{label}</Label>
      <Combobox<T | ''>
        immediate
        value={value}
        onChange={(chosen) => chosen !== null && chosen !== '' && onChange(chosen)}
        onClose={() => setTyped('')}
      >
        <span className="relative block">
          <ComboboxInput
            className="min-h-11 w-full pr-9! placeholder:text-quiet"
            autoComplete="off"
            displayValue={wordsOf}
            placeholder={placeholder}
            onFocus={(event) => event.target.select()}
            onClick={(event) => event.currentTarget.select()}
            onChange={(event) => setTyped(event.target.value)}
          />
          <ComboboxButton
            className="absolute inset-y-0 right-0 flex w-9 items-center justify-center"
            aria-label={`Show the choices for ${label}`}
          >
            <ChevronDown size={18} aria-hidden />
          </ComboboxButton>
        </span>
        <ComboboxOptions
          modal={false}
          anchor="bottom start"
          className="z-20 max-h-72 w-(--input-width) min-w-56 overflow-y-auto border border-quiet bg-sheet text-[15px] shadow-lg empty:invisible"
        >
          {shown.map((option) => (
            <ComboboxOption
              key={option.value}
              value={option.value}
              className="flex min-h-11 cursor-pointer items-center px-2 data-focus:bg-paper data-selected:font-semibold"
            >
              {option.words}
            </ComboboxOption>
          ))}
          {shown.length === 0 && <li className="px-2 py-2.5 text-quiet">Nothing here is called that.</li>}
        </ComboboxOptions>
      </Combobox>
    </Field>
  );
}

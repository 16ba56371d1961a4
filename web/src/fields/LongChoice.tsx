import { Field, Label, Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';

interface LongChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly words: (option: T) => string;
  readonly onChange: (value: T) => void;
}

/** One of more words than a short list holds. */
export function LongChoice<T extends string>({ label, value, options, words, onChange }: LongChoiceProps<T>) {
  return (
    <Field className="block text-[15px]">
      <Label>{label}</Label>
      <Listbox value={value} onChange={onChange}>
        <ListboxButton className="flex min-h-11 w-full items-center border border-quiet bg-sheet px-2 text-left">
          <span className="mr-auto">{words(value)}</span>
          <ChevronDown size={18} aria-hidden />
        </ListboxButton>
        <ListboxOptions
          anchor="bottom start"
          className="z-20 max-h-72 w-(--button-width) overflow-y-auto border border-quiet bg-sheet text-[15px] shadow-lg"
        >
          {options.map((option) => (
            <ListboxOption
              key={option}
              value={option}
              className="min-h-11 cursor-pointer px-2 py-2.5 data-focus:bg-paper data-selected:font-semibold"
            >
              {words(option)}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </Field>
  );
}

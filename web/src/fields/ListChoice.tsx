import { Field, Label, Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { ChoiceProps } from './choice-props.ts';

/** One of a few, all of them in view. */
export function ListChoice<T extends string>(props: ChoiceProps<T>) {
  const { label, labelIsHidden = false, value, options, words, onChange, isOff, disabled = false, fault } = props;
  const chosen = options.find((option) => option === value);
  return (
    <Field className="block" disabled={disabled}>
      <Label className={labelIsHidden ? 'sr-only' : ''}>{label}</Label>
      <Listbox
        value={value}
        onChange={(wanted: string) => {
          const option = options.find((entry) => entry === wanted);
          if (option !== undefined) onChange(option);
        }}
      >
        <ListboxButton
          aria-invalid={fault !== undefined}
          className="flex min-h-[38px] w-full items-center gap-2 border border-quiet bg-sheet px-2 text-left pointer-coarse:min-h-11 aria-invalid:border-rust data-disabled:text-quiet"
        >
          <span className="mr-auto min-w-0 truncate">{chosen === undefined ? (props.placeholder ?? 'Choose …') : words(chosen)}</span>
          <ChevronDown size={18} className="shrink-0" aria-hidden />
        </ListboxButton>
        <ListboxOptions
          modal={false}
          anchor="bottom start"
          className="z-40 max-h-72 w-(--button-width) min-w-max overflow-y-auto border border-quiet bg-sheet shadow-lg"
        >
          {options.map((option) => (
            <ListboxOption
              key={option}
              value={option}
              disabled={isOff?.(option) ?? false}
              className="flex min-h-11 cursor-pointer items-center px-2 data-disabled:text-quiet data-disabled:line-through data-focus:bg-paper data-selected:font-semibold"
            >
              {words(option)}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </Field>
  );
}

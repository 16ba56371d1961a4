import { Field, Label, Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { OPENED, ROW } from './choice-look.ts';
import type { ChoiceProps } from './choice-props.ts';

/** One of a few, all of them in view. */
export function ListChoice<T extends string>(props: ChoiceProps<T>) {
  const { label, labelIsHidden = false, value, options, words, onChange, isOff, disabled = false, fault } = props;
  const chosen = options.find((option) => option === value);
  return (
    <Field className="block" disabled={disabled}>
      <Label className={labelIsHidden ? 'sr-only' : ''}>{label}</Label>
      <Listbox value={chosen ?? null} onChange={(wanted: T | null) => wanted !== null && onChange(wanted)}>
        <ListboxButton
          aria-invalid={fault !== undefined}
          className="flex min-h-[38px] w-full items-center gap-2 border border-quiet bg-sheet px-2 py-[0.35rem] text-left pointer-coarse:min-h-11 aria-invalid:border-rust data-disabled:text-quiet"
        >
          <span className="mr-auto min-w-0 truncate">{chosen === undefined ? (props.placeholder ?? 'Choose …') : words(chosen)}</span>
          <ChevronDown size={18} className="shrink-0" aria-hidden />
        </ListboxButton>
        <ListboxOptions modal={false} anchor="bottom start" className={`${OPENED} w-(--button-width) min-w-max`}>
          {options.map((option) => (
            <ListboxOption key={option} value={option} disabled={isOff?.(option) ?? false} className={ROW}>
              {words(option)}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </Field>
  );
}

import { Field, Label, Switch } from '@headlessui/react';
import type { ReactNode } from 'react';

/** A named group of fields in two columns. */
export function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <fieldset className="stitched pb-3">
      <legend className="font-head text-lg font-semibold">{title}</legend>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 text-[15px]">{children}</div>
    </fieldset>
  );
}

interface CheckProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}

/** Yes or no; it takes effect at once. */
export const Check = ({ label, checked, onChange }: CheckProps) => (
  <Field className="flex min-h-10 items-center gap-2 text-[15px]">
    <Switch
      checked={checked}
      onChange={onChange}
      className="relative h-6 w-11 shrink-0 border-[1.5px] border-quiet bg-sheet after:absolute after:top-1/2 after:left-1/2 after:size-11 after:-translate-1/2 data-checked:border-moss data-checked:bg-moss"
    >
      <span
        aria-hidden="true"
        className={`absolute top-0.5 left-0.5 size-4 border-[1.5px] ${checked ? 'translate-x-5 border-sheet bg-sheet' : 'border-quiet bg-quiet'}`}
      />
    </Switch>
    <Label className="cursor-pointer">{label}</Label>
  </Field>
);

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

/** Yes or no. */
export function Check({
  label,
  checked,
  onChange,
}: {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-10 items-center gap-2 text-[15px]">
      <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}

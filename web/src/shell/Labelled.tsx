import type { ReactNode } from 'react';

interface LabelledProps {
  readonly label: string;
  readonly fault?: string | undefined;
  readonly children: ReactNode;
}

/** A field with its label, and what is wrong with it. */
export function Labelled({ label, fault, children }: LabelledProps) {
  return (
    <label className="block">
      {label}
      {children}
      {fault && <span className="block text-rust">{fault}</span>}
    </label>
  );
}

import { type Feature, featureKinds } from '@wainrope/core';
import { featureWords } from './body-edits.ts';

interface DrawChoiceProps {
  readonly label: string;
  readonly value: Feature['kind'] | '';
  readonly choose: (kind: Feature['kind'] | undefined) => void;
  readonly className: string;
}

/** Which kind of line is drawn on the ground. */
export function DrawChoice({ label, value, choose, className }: DrawChoiceProps) {
  return (
    <select
      className={className}
      aria-label={label}
      value={value}
      onChange={(event) => choose(featureKinds.find((kind) => kind === event.target.value))}
    >
      <option value="">Draw…</option>
      {featureKinds.map((kind) => (
        <option key={kind} value={kind}>
          {featureWords[kind]}
        </option>
      ))}
    </select>
  );
}

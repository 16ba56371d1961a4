import type { Body } from '@wainrope/core';
import { bodyKindWords } from './body-edits.ts';

const KINDS = Object.keys(bodyKindWords) as readonly Body['kind'][];

interface AddChoiceProps {
  readonly label: string;
  readonly value: Body['kind'] | '';
  readonly choose: (kind: Body['kind'] | undefined) => void;
  readonly className: string;
}

/** Which kind of thing comes on to the site. */
export function AddChoice({ label, value, choose, className }: AddChoiceProps) {
  return (
    <select
      className={className}
      aria-label={label}
      value={value}
      onChange={(event) => choose(KINDS.find((kind) => kind === event.target.value))}
    >
      <option value="">Add…</option>
      {KINDS.map((kind) => (
        <option key={kind} value={kind}>
          {bodyKindWords[kind]}
        </option>
      ))}
    </select>
  );
}

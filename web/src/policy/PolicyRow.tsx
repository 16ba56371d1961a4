import { useState } from 'react';
import { Choice } from '../fields/Choice.tsx';
import { type PolicyLeaf, readLeaf, typedLeaf } from './policy-leaves.ts';
import { leafWords } from './policy-words.ts';
import { SCHOOLS } from './school-words.ts';

interface PolicyRowProps {
  readonly leaf: PolicyLeaf;
  /** Where the figure comes from, or why the school is chosen; nothing where it is said above the table. */
  readonly source: string | undefined;
  /** Between which figures teams usually set it; nothing where they agree. */
  readonly range: string | undefined;
  /** The careful reading, as it would be typed. */
  readonly standard: string;
  readonly editable: boolean;
  /** Whether what stands in the field is not understood. */
  readonly unread: (is: boolean) => void;
  readonly changed: (value: PolicyLeaf['value']) => void;
}

/** One figure or school: its value, the careful reading where it differs, and where the figure comes from. */
export function PolicyRow({ leaf, source, range, standard, editable, unread, changed }: PolicyRowProps) {
  const { path, value } = leaf;
  const { label, unit } = leafWords(path);
  const [typed, setTyped] = useState(typedLeaf(value));
  const [fault, setFault] = useState<string>();
  const differs = typedLeaf(value) !== standard;
  const take = (text: string) => {
    setTyped(text);
    const read = readLeaf(value, text);
    setFault(read.ok ? undefined : read.message);
    unread(!read.ok);
    if (read.ok) changed(read.value);
  };
  const options =
    SCHOOLS[path] ??
    (typeof value === 'boolean'
      ? ([
          ['true', 'yes'],
          ['false', 'no'],
        ] as const)
      : undefined);
  const said = (text: string) => options?.find(([key]) => key === text)?.[1] ?? text;
  const columns = options ? 'sm:grid-cols-[1.2fr_19rem_1.6fr]' : 'sm:grid-cols-[1.4fr_13rem_1.6fr]';
  return (
    <div className={`grid items-center gap-x-4 gap-y-0.5 border-b border-rule py-1 ${columns}`} data-policy={path}>
      <span>{label}</span>
      <span className="flex items-center gap-2">
        {editable && options && (
          <span className="min-w-0 flex-1">
            <Choice label={label} labelIsHidden value={String(value)} options={options.map(([key]) => key)} words={said} onChange={take} />
          </span>
        )}
        {editable && !options && (
          <input
            className="font-mono"
            aria-label={label}
            aria-invalid={fault !== undefined}
            value={typed}
            onChange={(event) => take(event.target.value)}
          />
        )}
        {!editable && <span className={options ? undefined : 'font-mono'}>{said(typedLeaf(value))}</span>}
        {unit && <span className="w-9 shrink-0 text-quiet">{unit}</span>}
      </span>
      <span className="text-[15px] text-quiet">
        {fault && <span className="text-rust">{fault} </span>}
        {differs && <strong className="text-amber-ink">careful reading: {said(standard)}. </strong>}
        {[range, source].filter(Boolean).join('; ')}
      </span>
    </div>
  );
}

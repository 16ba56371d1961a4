import { type ImportFault, type ImportRowView, registerColumns } from '@wainrope/contract';
import { type GearClass, gearClasses, gearClassNames } from '@wainrope/core';
import { useState } from 'react';
import { SearchChoice } from '../../fields/SearchChoice.tsx';
import { Tag } from '../../shell/Tag.tsx';

const OUTCOMES: { readonly [O in ImportRowView['outcome']]: string } = {
  new: 'new',
  changed: 'changed',
  unchanged: 'as it is',
  asked: 'waits for an answer',
  faulty: 'needs mending',
  empty: 'empty',
  aside: 'left out',
};

interface RowPreviewProps {
  readonly row: ImportRowView;
  readonly mend: (column: string, text: string) => void;
}

export function RowPreview({ row, mend }: RowPreviewProps) {
  const { outcome, changes, faults, understood } = row;
  return (
    <li
      className={`flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-rule px-1 py-2 ${outcome === 'faulty' ? 'border-l-4 border-l-rust pl-3' : ''}`}
    >
      <span className="w-16 shrink-0 font-mono text-[13px] text-quiet">line {row.row}</span>
      <WhatItIs row={row} mend={mend} />
      <span className={outcome === 'faulty' ? 'font-semibold text-rust' : 'text-quiet'}>{OUTCOMES[outcome]}</span>
      {understood.length > 0 && <span className="basis-full text-quiet sm:pl-19">{understood.join('; ')}</span>}
      {changes.map((change) => (
        <span key={change} className="basis-full sm:pl-19">
          {change}
        </span>
      ))}
      {faults.map((fault) => (
        <Fault key={`${fault.column}${fault.message}`} fault={fault} mend={mend} />
      ))}
    </li>
  );
}

/** A row by what it is: its tag, how many, its name and its class, which can be corrected where it was taken from the words of the row. */
function WhatItIs({ row, mend }: RowPreviewProps) {
  const { tag, tagIsMade, name, kind, kindIsGuessed, pieces } = row;
  return (
    <>
      {tag && <Tag code={tag} />}
      {tagIsMade && <span className="text-[13px] text-quiet">tag made</span>}
      {pieces !== undefined && <strong>{pieces} ×</strong>}
      <span className="font-semibold">{name ?? '(no name)'}</span>
      {kind && (
        <span className={kindIsGuessed ? 'border-b-2 border-signal' : 'text-quiet'}>
          {kindIsGuessed && 'taken for: '}
          {gearClasses[kind as GearClass].label}
        </span>
      )}
      {kindIsGuessed && <SayClass row={row} mend={mend} words="Something else?" />}
      {row.outcome === 'aside' && <SayClass row={row} mend={mend} words="It is a piece" />}
    </>
  );
}

/** Says what class a row is of, where its words were taken wrongly or for no piece at all. */
function SayClass({ row, mend, words }: RowPreviewProps & { readonly words: string }) {
  const [saying, setSaying] = useState(false);
  if (!saying)
    return (
      <button type="button" className="min-h-8 underline" onClick={() => setSaying(true)}>
        {words}
      </button>
    );
  return (
    <span className="w-64">
      <SearchChoice
        label={`Class of line ${row.row}`}
        labelIsHidden
        value=""
        options={gearClassNames}
        words={(kind) => gearClasses[kind].label}
        onChange={(chosen) => mend('class', chosen)}
      />
    </span>
  );
}

interface FaultProps {
  readonly fault: ImportFault;
  readonly mend: (column: string, text: string) => void;
}

/** What is wrong with a cell, and the cell itself to be mended. */
function Fault({ fault: { column, message, text = '' }, mend }: FaultProps) {
  const [typed, setTyped] = useState(text);
  const label = registerColumns.find(({ key }) => key === column)?.label ?? column;
  return (
    <form
      className="grid basis-full items-center gap-x-3 gap-y-1 sm:grid-cols-[1fr_auto] sm:pl-19"
      onSubmit={(event) => {
        event.preventDefault();
        mend(column, typed);
      }}
    >
      <span className="text-rust">
        <strong>{label}:</strong> {message}
      </span>
      <span className="flex gap-2">
        <input aria-label={`${label}, mended`} value={typed} onChange={(event) => setTyped(event.target.value)} className="w-44!" />
        <button type="submit" className="action" disabled={typed === text}>
          Mend
        </button>
      </span>
    </form>
  );
}

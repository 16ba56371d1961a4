import { glossary } from '@wainrope/core';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { PageHeading } from '../shell/PageHeading.tsx';

/** The words of the program, each with what it means; an address with a word in it opens there. */
export function GlossaryPage() {
  const { hash } = useLocation();
  const [typed, setTyped] = useState('');
  useEffect(() => {
    document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  const shown = glossary.filter(({ word, meaning }) => `${word} ${meaning}`.toLowerCase().includes(typed.trim().toLowerCase()));
  return (
    <div className="page py-4">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink pb-3">
        <PageHeading title="What the words mean" />
        <label className="no-print ml-auto w-64">
          <span className="sr-only">Search the words</span>
          <input type="search" placeholder="Search the words…" value={typed} onChange={(event) => setTyped(event.target.value)} />
        </label>
      </div>
      {shown.length === 0 && <p className="py-6">No word here fits that search.</p>}
      <dl className="gap-x-12 pt-2 lg:columns-2">
        {shown.map(({ id, word, meaning }) => (
          <div
            key={id}
            id={id}
            className={`break-inside-avoid border-b border-rule py-2 ${hash === `#${id}` ? 'border-l-4 border-l-rope bg-sheet pl-3' : ''}`}
          >
            <dt className="font-head text-xl font-semibold">{word}</dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

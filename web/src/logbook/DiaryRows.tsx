import type { DiaryView } from '@wainrope/contract';
import { length } from '@wainrope/core';
import { day } from '../shell/days.ts';
import { useFigures } from '../shell/use-figures.ts';
import { entryWords } from './diary-words.ts';

/** How far a line ran since it was spooled under tension. */
export function RunSince({ ranM, on }: { readonly ranM: number; readonly on: string }) {
  const { figure } = useFigures();
  return (
    <p className="pt-2">
      <strong className="font-head text-2xl">{figure(length(ranM))}</strong> of line run since it was spooled under tension on {day(on)}.
    </p>
  );
}

/** What was done, the newest first. */
export function DiaryRows({ entries }: { readonly entries: DiaryView['items'] }) {
  const { text } = useFigures();
  return (
    <ul className="pt-2">
      {entries.map((entry) => (
        <li key={entry.entryId} className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[6.5rem_1fr_1fr_9rem]">
          <span>{day(entry.on)}</span>
          <span className={entry.spoolState && entry.spoolState !== 'under-tension' ? 'text-amber-ink' : ''}>
            {text(entryWords(entry))}
          </span>
          <span className="text-quiet">{entry.note}</span>
          <span className="text-quiet sm:text-right">{entry.by}</span>
        </li>
      ))}
    </ul>
  );
}

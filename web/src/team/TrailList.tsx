import type { AuditEntryView } from '@wainrope/contract';
import { Link } from 'react-router';
import { moment } from '../shell/days.ts';
import { fieldWords, valueWords } from './trail-words.ts';

const PAGES: { readonly [kind: string]: string } = {
  gear: '/gear',
  plan: '/plans',
  person: '/people',
  kit: '/kits',
  outing: '/outings',
  inspection: '/inspections',
  vehicle: '/vehicles',
  incident: '/log/incidents',
};
const SHOWN = 6;

/** Entries of the trail: who did what to what, and what it changed. */
export function TrailList({
  entries,
  withSubject = true,
}: {
  readonly entries: readonly AuditEntryView[];
  readonly withSubject?: boolean;
}) {
  return (
    <ol aria-label="What changed">
      {entries.map((entry) => (
        <li key={entry.entryNo} className="border-b border-rule py-2">
          <p className="flex flex-wrap gap-x-2">
            <span>
              <strong>{entry.by}</strong> {entry.action}
            </span>
            {withSubject && <Subject entry={entry} />}
            <span className="ml-auto text-[15px] text-quiet">
              {moment(entry.at)} <span className="font-mono text-[13px]">no. {entry.entryNo}</span>
            </span>
          </p>
          {entry.corrects !== undefined && <p className="text-amber-ink">Corrects entry no. {entry.corrects}.</p>}
          {entry.note && <p>“{entry.note}”</p>}
          {entry.changes.some(({ before }) => before !== undefined) && (
            <ul className="pl-4 text-[15px]">
              {entry.changes.slice(0, SHOWN).map(({ field, before, after }) => (
                <li key={field}>
                  {fieldWords(field)}: <span className="text-quiet line-through">{valueWords(before)}</span> → {valueWords(after)}
                </li>
              ))}
              {entry.changes.length > SHOWN && <li className="text-quiet">and {entry.changes.length - SHOWN} more</li>}
            </ul>
          )}
        </li>
      ))}
    </ol>
  );
}

function Subject({ entry: { subjectKind, subjectId, subjectName } }: { readonly entry: AuditEntryView }) {
  const page = PAGES[subjectKind];
  return page ? (
    <Link className="underline" to={`${page}/${subjectId}`}>
      {subjectName}
    </Link>
  ) : (
    <span>{subjectName}</span>
  );
}

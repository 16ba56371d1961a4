import type { HookUpKind, HookUpView } from '@wainrope/contract';
import { force, length, smallLength } from '@wainrope/core';
import { SubjectPhotos } from '../photos/SubjectPhotos.tsx';
import { day } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { VerdictShape } from '../shell/VerdictMark.tsx';

export const hookUpWords: { readonly [K in HookUpKind]: string } = {
  used: 'Has held',
  'last-resort': 'Last resort',
  refused: 'Never here',
  touched: 'Touched by a line',
};

const LOOKS = {
  used: { verdict: 'clear', colours: 'text-moss' },
  'last-resort': { verdict: 'watch', colours: 'text-amber-ink' },
  refused: { verdict: 'stop', colours: 'text-rust' },
  touched: { verdict: 'watch', colours: 'text-slate' },
} as const;

/** Entries of the hook-up book: what is refused stands first. */
export function HookUpList({ entries, photos = true }: { readonly entries: readonly HookUpView[] | undefined; readonly photos?: boolean }) {
  const { figure } = useFigures();
  if (!entries) return <Loading what="the hook-ups" className="" />;
  if (entries.length === 0) return <p className="text-quiet">Nothing is written of this model yet.</p>;
  return (
    <ul>
      {entries.map(({ entryId, kind, place, loadN, heightM, radiusM, note, by, on, photoIds }) => (
        <li key={entryId} className="border-b border-rule py-1.5">
          <p className="flex flex-wrap items-center gap-x-2">
            <span className={`inline-flex items-center gap-1.5 font-semibold ${LOOKS[kind].colours}`}>
              <VerdictShape verdict={LOOKS[kind].verdict} size={15} /> {hookUpWords[kind]}
            </span>
            <span>{place}</span>
            {loadN !== undefined && <span className="font-mono text-[15px]">{figure(force(loadN))}</span>}
            {heightM !== undefined && <span className="text-[15px] text-quiet">{figure(length(heightM))} high</span>}
            {radiusM !== undefined && <span className="text-[15px] text-quiet">radius {figure(smallLength(radiusM))}</span>}
          </p>
          {kind === 'last-resort' && <p className="text-[15px] text-amber-ink">Steady short pull only, the owner told of the risk.</p>}
          {note && <p className="text-[15px]">{note}</p>}
          <p className="text-[14px] text-quiet">
            {by}, {day(on)}
          </p>
          {photos && <SubjectPhotos subjectId={entryId} subjectKind="hook-up" photoIds={photoIds} name={place} />}
        </li>
      ))}
    </ul>
  );
}

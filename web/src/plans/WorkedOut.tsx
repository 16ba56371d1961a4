import { type Case, type PlaceReport, percent, type Report, ratio } from '@wainrope/core';
import { Link } from 'react-router';
import { Explained } from '../shell/Explained.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { useExplanation } from './use-judgement.ts';

interface WorkedOutProps {
  readonly subject: Case;
  readonly report: Report;
  readonly place: PlaceReport;
  readonly select: (placeId: string) => void;
  readonly choosePiece: (useId: string) => void;
}

/** How the figures of one place were worked out, as a sum to check with a pencil. */
export function WorkedOut({ subject, report, place, select, choosePiece }: WorkedOutProps) {
  const { figure } = useFigures();
  const explained = useExplanation(subject, place.id);
  const others = report.places.filter(({ subject: owner }) => owner.id === place.subject.id);
  return (
    <section aria-label="How it was worked out" className="pt-3">
      <div className="flex flex-wrap items-center gap-2">
        {place.tag && <Tag code={place.tag} />}
        <h3 className="font-sans text-base font-semibold">{place.name}</h3>
        <span className="ml-auto text-[15px] text-quiet">how it was worked out</span>
      </div>
      {others.length > 1 && (
        <div className="flex flex-wrap gap-x-4 pt-1 text-[15px]">
          {others.map(({ id, where }) => (
            <button
              key={id}
              type="button"
              className={id === place.id ? 'font-semibold' : 'underline'}
              aria-pressed={id === place.id}
              onClick={() => select(id)}
            >
              {where || 'in line'}
            </button>
          ))}
        </div>
      )}
      {explained?.limit && <Explained term={explained.limit} />}
      {explained?.planned && (
        <div className="mt-2">
          <Explained term={explained.planned} />
        </div>
      )}
      {place.utilisation !== undefined && (
        <Result label="Planned load of working limit" value={figure(percent(place.utilisation))} bad={place.utilisation > 1} />
      )}
      {explained?.greatest && (
        <details className="mt-2">
          <summary className="cursor-pointer py-1 font-semibold">
            At the winch’s greatest pull
            {place.breakingRatio !== undefined &&
              `: breaks at ${figure(ratio(place.breakingRatio))} × the load, asked for ${figure(ratio(place.stopRatio))} ×`}
          </summary>
          <Explained term={explained.greatest} />
          {explained.breaking && (
            <div className="mt-2">
              <Explained term={explained.breaking} />
            </div>
          )}
        </details>
      )}
      <div className="flex flex-wrap gap-2 pt-2">
        {place.subject.kind === 'use' && place.kind !== 'drum' && (
          <button type="button" className="action" onClick={() => choosePiece(place.subject.id)}>
            Choose another
          </button>
        )}
        {place.gearId && (
          <Link className="action" to={`/gear/${place.gearId}`}>
            Open its page
          </Link>
        )}
      </div>
    </section>
  );
}

function Result({ label, value, bad }: { readonly label: string; readonly value: string; readonly bad: boolean }) {
  return (
    <p className={`mt-1 flex justify-between border-y-2 border-ink py-1 font-semibold ${bad ? 'text-rust' : ''}`}>
      <span>{label}</span>
      <span className="font-mono">{value}</span>
    </p>
  );
}

import { type Case, length, type PlaceExplanation, type PlaceReport, percent, type Report, ratio } from '@wainrope/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Explained } from '../../explained/Explained.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useExplanation } from '../solver/questions.ts';

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
  const { worst = {} } = place;
  const moves = report.startOnly === undefined && (worst.plannedAtM ?? 0) > 0;
  const [start, setStart] = useState(false);
  const when = moves && !start ? 'worst' : 'start';
  const explained = useExplanation(subject, place.id, when);
  const { utilisation, breakingRatio } = when === 'worst' ? worst : place;
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
      {moves && <WhichMoment start={start} setStart={setStart} worstAt={figure(length(worst.plannedAtM ?? 0))} />}
      {explained?.limit && <Explained term={explained.limit} />}
      {explained?.planned && (
        <div className="mt-2">
          <Explained term={explained.planned} />
        </div>
      )}
      {utilisation !== undefined && (
        <Result label="Planned load of working limit" value={figure(percent(utilisation))} bad={utilisation > 1} />
      )}
      {explained?.greatest && <AtGreatest explained={explained} breakingRatio={breakingRatio} stopRatio={place.stopRatio} />}
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

interface AtGreatestProps {
  readonly explained: PlaceExplanation;
  readonly breakingRatio: number | undefined;
  readonly stopRatio: number;
}

function AtGreatest({ explained, breakingRatio, stopRatio }: AtGreatestProps) {
  const { figure } = useFigures();
  return (
    <details className="mt-2">
      <summary className="cursor-pointer py-1 font-semibold">
        At the greatest pull
        {breakingRatio !== undefined && `: breaks at ${figure(ratio(breakingRatio))} × the load, asked for ${figure(ratio(stopRatio))} ×`}
      </summary>
      {explained.greatest && <Explained term={explained.greatest} />}
      {explained.breaking && (
        <div className="mt-2">
          <Explained term={explained.breaking} />
        </div>
      )}
    </details>
  );
}

interface WhichMomentProps {
  readonly start: boolean;
  readonly setStart: (start: boolean) => void;
  readonly worstAt: string;
}

function WhichMoment({ start, setStart, worstAt }: WhichMomentProps) {
  return (
    <div role="group" aria-label="Which moment" className="flex gap-4 pt-1 text-[15px]">
      {[false, true].map((atStart) => (
        <button
          key={String(atStart)}
          type="button"
          aria-pressed={start === atStart}
          className={start === atStart ? 'font-semibold' : 'underline'}
          onClick={() => setStart(atStart)}
        >
          {atStart ? 'at the start' : `at its worst, after ${worstAt}`}
        </button>
      ))}
    </div>
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

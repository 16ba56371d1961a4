import type { GearView, LoadView } from '@wainrope/contract';
import { type DecimalMark, force, percent } from '@wainrope/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useListLoadsQuery } from '../api/wainrope-api.ts';
import { day } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { LoadForm } from './LoadForm.tsx';
import { LoadTotals } from './LoadTotals.tsx';
import { knownWords, overloadWords } from './load-words.ts';
import { FIRST_PAGE } from './use-book.ts';

interface LoadSectionProps {
  readonly gear: GearView;
  readonly today: string;
  readonly decimal: DecimalMark;
}

const MOST = 500;

/** What pulls put on a piece, against its limit as it was then. */
export function LoadSection({ gear, today, decimal }: LoadSectionProps) {
  const [limit, setLimit] = useState<number>(FIRST_PAGE.loads);
  const { data, error, refetch } = useListLoadsQuery({ gearId: gear.gearId, limit });
  const [doing, setDoing] = useState<'log' | LoadView>();
  const may = useMay();
  return (
    <section className="pt-6" aria-label="Loads">
      <h2 className="stitched pb-1.5 text-xl">Loads</h2>
      <ProblemNote error={error} retry={refetch} />
      {data?.summary && <LoadTotals gear={gear} summary={data.summary} />}
      {may('load.write') && gear.state !== 'retired' && doing === undefined && (
        <button type="button" className="action no-print mt-3" onClick={() => setDoing('log')}>
          Log a load
        </button>
      )}
      {may('incident.write') && doing === undefined && (
        <Link className="action no-print mt-3 ml-2" to={`/log/incidents/new?piece=${gear.gearId}`}>
          Record an incident
        </Link>
      )}
      {doing !== undefined && (
        <LoadForm
          key={doing === 'log' ? 'log' : doing.recordId}
          gear={gear}
          today={today}
          decimal={decimal}
          corrects={doing === 'log' ? undefined : doing}
          done={() => setDoing(undefined)}
        />
      )}
      {data?.items.length === 0 && (
        <p className="pt-3 text-quiet">No load on record. One from a plan is logged in the plan, under Record.</p>
      )}
      {data && data.items.length > 0 && (
        <ul className="pt-2">
          {data.items.map((load) => (
            <LoadLine key={load.recordId} load={load} correct={may('load.correct') ? () => setDoing(load) : undefined} />
          ))}
        </ul>
      )}
      {data?.next !== undefined && limit < MOST && (
        <button type="button" className="action no-print mt-2" onClick={() => setLimit(MOST)}>
          Show earlier loads
        </button>
      )}
    </section>
  );
}

interface LoadLineProps {
  readonly load: LoadView;
  readonly correct: (() => void) | undefined;
}

function LoadLine({ load, correct }: LoadLineProps) {
  const { figure } = useFigures();
  const { on, happenedN, wllN, share, overload, correctedBy, pulls, known, place, planId, planName, note, by, peakN, greatestN, stalled } =
    load;
  const isOver = overload === 'inspect' || overload === 'quarantine';
  return (
    <li className="grid gap-x-4 gap-y-1 border-b border-rule py-2 sm:grid-cols-[7rem_11rem_1fr_auto]" data-overload={overload}>
      <span>{day(on)}</span>
      <span className={correctedBy ? 'text-quiet line-through' : ''}>
        <strong className="font-mono">{figure(force(happenedN))}</strong>{' '}
        {share !== undefined && wllN !== undefined && (
          <span className={isOver ? 'text-rust' : ''}>
            {figure(percent(share))} of {figure(force(wllN))}
          </span>
        )}
      </span>
      <span className="min-w-0">
        {isOver && !correctedBy && <strong className="block text-rust">{overloadWords[overload]}</strong>}
        {overload === 'unknown' && <span className="block text-amber-ink">{overloadWords.unknown}</span>}
        {correctedBy && <span className="block text-amber-ink">Corrected by a later record; it no longer counts.</span>}
        {planId ? (
          <Link className="underline" to={`/plans/${planId}`}>
            {place ?? planName}
          </Link>
        ) : (
          place
        )}
        <span className="block text-[15px] text-quiet">
          {load.seriesId ? (
            <Link className="underline" to={`/series/${load.seriesId}`}>
              from a recorder’s file
            </Link>
          ) : (
            knownWords(load)
          )}
          {peakN === undefined && greatestN !== undefined && !stalled && `; at most ${figure(force(greatestN))} was possible`}
          {pulls > 1 && `; ${pulls} pulls alike`}; {by}
          {note && `; “${note}”`}
        </span>
      </span>
      {correct && !correctedBy && (
        <button
          type="button"
          className="action no-print justify-self-start self-start"
          onClick={correct}
          aria-label={`Correct the load of ${day(on)}, ${known}`}
        >
          Correct
        </button>
      )}
    </li>
  );
}

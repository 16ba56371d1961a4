import { type LifeEvent, type LifeKind, lifeKinds } from '@wainrope/contract';
import { useCallback, useState } from 'react';
import { Link } from 'react-router';
import { useGetLifeQuery } from '../api/wainrope-api.ts';
import { Chart } from '../charts/Chart.tsx';
import type { ChartLook } from '../charts/chart-look.ts';
import { day } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { FurtherBack } from './FurtherBack.tsx';
import { lifeFigure, lifeTable } from './life-figure.ts';
import { eventPage, eventTitle, lifeKindWords } from './life-words.ts';
import { FIRST_PAGE } from './use-book.ts';

interface LifeSectionProps {
  readonly gearId: string;
  readonly tag: string;
  readonly today: string;
}

const SHOWN = 12;
const MOST = 1000;

/** A piece's whole life on one line, and as a list that can be narrowed. */
export function LifeSection({ gearId, tag, today }: LifeSectionProps) {
  const [limit, setLimit] = useState<number>(FIRST_PAGE.life);
  const { data, error, refetch } = useGetLifeQuery({ gearId, limit });
  const { units } = useFigures();
  const events = data?.items;
  const figure = useCallback((look: ChartLook) => lifeFigure({ events: events ?? [], units, look, today }), [events, units, today]);
  return (
    <section className="pt-6" aria-label="Its life">
      <h2 className="stitched pb-1.5 text-xl">Its life</h2>
      <ProblemNote error={error} retry={refetch} />
      {events?.length === 0 && <p className="pt-2 text-quiet">Nothing is on record yet.</p>}
      {events && events.length > 0 && (
        <>
          <Chart
            label={`The life of ${tag}: loads against the limit as it was then, inspections, what it met, who had it, incidents`}
            name={`${tag} life`}
            figure={figure}
            table={lifeTable(events, units)}
            height={300}
          />
          <Events events={events} />
          <FurtherBack hasMore={data?.next !== undefined} limit={limit} most={MOST} read={setLimit} />
        </>
      )}
    </section>
  );
}

function Events({ events }: { readonly events: readonly LifeEvent[] }) {
  const [kind, setKind] = useState<LifeKind>();
  const [all, setAll] = useState(false);
  const found = kind ? events.filter((event) => event.kind === kind) : events;
  const shown = all ? found : found.slice(0, SHOWN);
  return (
    <>
      <fieldset className="no-print flex flex-wrap gap-2 pt-3" aria-label="Which events">
        <button type="button" className="action" aria-pressed={kind === undefined} onClick={() => setKind(undefined)}>
          All {events.length}
        </button>
        {lifeKinds
          .filter((each) => events.some((event) => event.kind === each))
          .map((each) => (
            <button key={each} type="button" className="action" aria-pressed={kind === each} onClick={() => setKind(each)}>
              {lifeKindWords[each]}
            </button>
          ))}
      </fieldset>
      <ol className="pt-1">
        {shown.map((event) => (
          <EventLine key={event.key} event={event} />
        ))}
      </ol>
      {found.length > shown.length && (
        <button type="button" className="action no-print mt-2" onClick={() => setAll(true)}>
          All {found.length}
        </button>
      )}
    </>
  );
}

function EventLine({ event }: { readonly event: LifeEvent }) {
  const { text } = useFigures();
  const page = eventPage(event);
  const title = text(eventTitle(event));
  const isOver = event.overload === 'inspect' || event.overload === 'quarantine';
  const grave = !event.isCorrected && (isOver || event.grade === 'D' || (event.kind === 'state' && event.what !== 'in-use'));
  return (
    <li className="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[6.5rem_1.1fr_1.4fr_9rem]" data-kind={event.kind}>
      <span>{day(event.on)}</span>
      <span className={`${event.isCorrected ? 'text-quiet line-through' : ''} ${grave ? 'text-rust' : ''}`}>
        {page ? (
          <Link className="underline" to={page}>
            {title}
          </Link>
        ) : (
          title
        )}
      </span>
      <span className="min-w-0 text-quiet">{event.words}</span>
      <span className="text-quiet sm:text-right">{event.by}</span>
    </li>
  );
}

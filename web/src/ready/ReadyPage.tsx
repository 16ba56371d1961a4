import { type DefectView, dueOf } from '@wainrope/contract';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import {
  useAllPlansQuery,
  useGetSinceVisitQuery,
  useListDefectsQuery,
  useListOutingsQuery,
  useMarkSeenMutation,
} from '../api/wainrope-api.ts';
import { shortWords } from '../kits/kit-words.ts';
import { ReadyMark } from '../kits/ReadyMark.tsx';
import { type KitState, useKits } from '../kits/use-kits.ts';
import type { RegisterPiece } from '../register/use-register.ts';
import { ago, day, withDays } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { TrailList } from '../team/TrailList.tsx';
import { FirstSteps } from './FirstSteps.tsx';

const PIECES_SHOWN = 8;

/** What is fit to go today, what is not and what puts it right, what is due, what changed. */
export function ReadyPage() {
  const { kits, pieces, team, error, refetch } = useKits();
  const may = useMay();
  const today = team?.today ?? '';
  return (
    <div className="page py-4">
      <div className="flex flex-wrap items-end gap-x-5 border-b-2 border-ink pb-2">
        <PageHeading title="Ready today" />
        <p className="pb-0.5 text-quiet">
          {team?.name}, {day(today)}
        </p>
      </div>
      <ProblemNote error={error} retry={refetch} />
      <FirstSteps />
      {!kits && !error && <Loading what="what is ready" />}
      {kits && pieces && (
        <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[1.25fr_1fr]">
          <div className="space-y-6">
            <Kits kits={kits} />
            <OutOfUse pieces={pieces} today={today} />
          </div>
          <div className="space-y-6">
            <Due pieces={pieces} today={today} />
            <Out today={today} />
            <Plans />
            {may('audit.of-one') && <Changed />}
          </div>
        </div>
      )}
    </div>
  );
}

function Kits({ kits }: { readonly kits: readonly KitState[] }) {
  const asked = kits.filter(({ kit }) => kit.wanted.length > 0);
  const sorted = [...asked].sort((a, b) => Number(a.readiness.ready) - Number(b.readiness.ready));
  return (
    <section aria-label="Kits">
      <h2 className="stitched pb-1.5 text-xl">Kits</h2>
      {asked.length === 0 && (
        <p className="pt-2">
          No kit has a packing list yet.{' '}
          <Link className="underline" to="/kits">
            Give one to a kit
          </Link>{' '}
          and this board says each day whether it can go.
        </p>
      )}
      <ul>
        {sorted.map(({ kit, readiness, inside }) => (
          <li key={kit.kitId} className="border-b border-rule py-2">
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <ReadyMark readiness={readiness} asked />
              <Link className="font-head text-xl font-semibold underline-offset-2 hover:underline" to={`/kits/${kit.kitId}`}>
                {kit.name}
              </Link>
              <span className="text-quiet">{inside.length} pieces</span>
              {!readiness.ready && (
                <Link className="action ml-auto" to={`/kits/${kit.kitId}`}>
                  {readiness.lines.some(({ short, substitutes }) => short > 0 && substitutes.length > 0)
                    ? 'Fill it'
                    : 'See what is missing'}
                </Link>
              )}
            </div>
            {!readiness.ready && (
              <p className="pt-1 text-amber-ink">
                Missing:{' '}
                {readiness.lines
                  .filter(({ short }) => short > 0)
                  .map(shortWords)
                  .join(', ')}
                .
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

interface Unfit {
  readonly piece: RegisterPiece;
  readonly why: string;
  readonly action: string;
  readonly to: string;
}

/** What failed comes before what is only to be watched. */
function gravest<D extends { readonly failed: boolean }>(defects: readonly D[]): D | undefined {
  return defects.find(({ failed }) => failed) ?? defects[0];
}

/** Why a piece must not be used, and the one thing that puts it right; undefined where it is fit. */
function unfitOf(piece: RegisterPiece, defects: readonly DefectView[], today: string): Unfit | undefined {
  const { gear } = piece;
  if (gear.state === 'retired') return undefined;
  const inspect = `/inspect?of=piece:${gear.gearId}`;
  if (gear.state === 'quarantined') {
    const defect = gravest(defects.filter((entry) => entry.gearId === gear.gearId));
    return {
      piece,
      why: defect ? `in quarantine: ${defect.words}` : 'in quarantine',
      action: 'Repair, then inspect',
      to: `${inspect}&kind=after-repair`,
    };
  }
  const due = dueOf(gear, today);
  if (due.time === 'overdue')
    return {
      piece,
      why: due.why === 'by the calendar' && due.on ? `overdue since ${day(due.on)}` : withDays(due.why),
      action: 'Inspect',
      to: inspect,
    };
  return due.time === 'never' ? { piece, why: due.why, action: 'Inspect', to: inspect } : undefined;
}

/** What must not be used, each with the one thing that puts it right. */
function OutOfUse({ pieces, today }: { readonly pieces: readonly RegisterPiece[]; readonly today: string }) {
  const may = useMay();
  const { data } = useListDefectsQuery();
  const unfit = pieces.flatMap((piece) => unfitOf(piece, data?.items ?? [], today) ?? []);
  return (
    <section aria-label="Not fit to go">
      <h2 className="stitched pb-1.5 text-xl">
        Not fit to go <span className="font-sans text-base font-normal text-quiet">{unfit.length} pieces</span>
      </h2>
      {pieces.length === 0 && (
        <p className="pt-2">
          The register is empty.{' '}
          <Link className="underline" to="/gear/import">
            Import your list
          </Link>{' '}
          or{' '}
          <Link className="underline" to="/gear/new">
            add a piece
          </Link>
          .
        </p>
      )}
      {pieces.length > 0 && unfit.length === 0 && <p className="pt-2">Every piece is inspected and in use.</p>}
      <ul>
        {unfit.slice(0, PIECES_SHOWN).map(({ piece: { gear }, why, action, to }) => (
          <li key={gear.gearId} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5">
            <Link to={`/gear/${gear.gearId}`} aria-label={`${gear.tag} ${gear.name}`}>
              <Tag code={gear.tag} />
            </Link>
            <span>{gear.name}</span>
            <span className="text-rust">{why}</span>
            {may('inspection.full') && (
              <Link className="action ml-auto" to={to}>
                {action}
              </Link>
            )}
          </li>
        ))}
      </ul>
      {unfit.length > PIECES_SHOWN && (
        <p className="pt-2">
          <Link className="underline" to="/due">
            and {unfit.length - PIECES_SHOWN} more
          </Link>
        </p>
      )}
    </section>
  );
}

function Due({ pieces, today }: { readonly pieces: readonly RegisterPiece[]; readonly today: string }) {
  const may = useMay();
  const times = pieces.filter(({ gear }) => gear.state === 'in-use').map(({ gear }) => dueOf(gear, today).time);
  const count = (...wanted: readonly string[]) => times.filter((time) => wanted.includes(time)).length;
  const rows = [
    ['Overdue or never inspected', count('overdue', 'never'), true],
    ['This week', count('this-week'), false],
    ['This month', count('this-month'), false],
  ] as const;
  return (
    <section aria-label="Due">
      <h2 className="stitched pb-1.5 text-xl">Inspections due</h2>
      <dl>
        {rows.map(([label, number, urgent]) => (
          <div key={label} className="flex items-baseline justify-between border-b border-rule py-1.5">
            <dt>{label}</dt>
            <dd className={`font-mono ${urgent && number > 0 ? 'font-semibold text-rust' : ''}`}>{number}</dd>
          </div>
        ))}
      </dl>
      <div className="flex flex-wrap gap-2 pt-3">
        {may('inspection.full') && count('overdue', 'never', 'this-week') > 0 && (
          <Link className="action-main" to="/inspect?of=due">
            Go to the bench
          </Link>
        )}
        <Link className="action" to="/due">
          The due list
        </Link>
      </div>
    </section>
  );
}

function Out({ today }: { readonly today: string }) {
  const { data } = useListOutingsQuery();
  const open = (data?.items ?? []).filter(({ closedAt }) => closedAt === undefined);
  if (open.length === 0) return null;
  return (
    <section aria-label="Out">
      <h2 className="stitched pb-1.5 text-xl">Out</h2>
      <ul>
        {open.map(({ outingId, name, holder, dueBackOn, pieces }) => (
          <li key={outingId} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1.5">
            <Link className="underline" to={`/outings/${outingId}`}>
              {name}
            </Link>
            <span>
              {pieces.filter(({ backAt }) => !backAt).length} with {holder}
            </span>
            {dueBackOn && (
              <span className={`ml-auto ${dueBackOn < today ? 'font-semibold text-rust' : 'text-quiet'}`}>
                {dueBackOn < today ? 'was due' : 'due'} back {day(dueBackOn)}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Plans whose verdict no longer stands. */
function Plans() {
  const { data } = useAllPlansQuery();
  const stale = (data ?? []).filter(({ outOfDate }) => outOfDate.length > 0);
  if (stale.length === 0) return null;
  return (
    <section aria-label="Plans out of date">
      <h2 className="stitched pb-1.5 text-xl">Plans out of date</h2>
      <ul>
        {stale.map(({ planId, name, outOfDate }) => (
          <li key={planId} className="border-b border-rule py-1.5">
            <Link className="underline" to={`/plans/${planId}`}>
              {name}
            </Link>{' '}
            <span className="text-amber-ink">{outOfDate.join(' ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Changed() {
  const { data: visit } = useGetSinceVisitQuery();
  const [seen] = useMarkSeenMutation();
  if (!visit) return null;
  return (
    <section aria-label="Since your last visit">
      <h2 className="stitched pb-1.5 text-xl">{visit.since ? `Since you looked ${ago(visit.since)}` : 'Lately'}</h2>
      {visit.count === 0 && <p className="pt-2 text-quiet">Nobody else changed anything.</p>}
      <TrailList entries={visit.entries} />
      {visit.count > visit.entries.length && (
        <p className="pt-1 text-quiet">
          and {visit.isMore && 'at least '}
          {visit.count - visit.entries.length} more
        </p>
      )}
      {visit.count > 0 && (
        <button type="button" className="action mt-3" onClick={() => seen({ visitSeen: { upTo: visit.newest } })}>
          I have seen it
        </button>
      )}
    </section>
  );
}

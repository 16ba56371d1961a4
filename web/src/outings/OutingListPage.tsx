import type { OutingView } from '@wainrope/contract';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useListOutingsQuery } from '../api/wainrope-api.ts';
import { GearTabs } from '../register/GearTabs.tsx';
import { useRegister } from '../register/use-register.ts';
import { day, moment } from '../shell/days.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { CheckOut } from './CheckOut.tsx';

/** What is out, with whom; and taking more out. */
export function OutingListPage() {
  const { data, error, refetch } = useListOutingsQuery();
  const { team } = useRegister();
  const may = useMay();
  const items = data?.items ?? [];
  const open = items.filter(({ closedAt }) => closedAt === undefined);
  const closed = items.filter(({ closedAt }) => closedAt !== undefined);
  return (
    <div className="page py-4">
      <GearTabs title="Out and back" />
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="what is out" />}
      {data && items.length === 0 && (
        <EmptyPage of="out and back" words="Nothing has gone out yet.">
          What is taken to a job stands here with whoever has it, until it is counted back in.
        </EmptyPage>
      )}
      {items.length > 0 && open.length === 0 && <p className="py-4 text-quiet">Everything is in.</p>}
      <ul aria-label="Out now">
        {open.map((outing) => (
          <OutingRow key={outing.outingId} outing={outing} today={team?.today ?? ''} />
        ))}
      </ul>
      {may('whereabouts.write') && <CheckOut />}
      {closed.length > 0 && (
        <>
          <h2 className="stitched mt-8 pb-1.5 text-xl">Came back</h2>
          <ul>
            {closed.map((outing) => (
              <OutingRow key={outing.outingId} outing={outing} today={team?.today ?? ''} />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function OutingRow({ outing, today }: { readonly outing: OutingView; readonly today: string }) {
  const away = outing.pieces.filter(({ backAt }) => backAt === undefined).length;
  const late = outing.closedAt === undefined && outing.dueBackOn !== undefined && outing.dueBackOn < today;
  return (
    <li className="border-b border-rule">
      <Link
        to={`/outings/${outing.outingId}`}
        className="grid items-center gap-x-5 gap-y-0.5 px-1 py-2 hover:bg-sheet sm:grid-cols-[1.4fr_1fr_1fr_auto]"
      >
        <strong>{outing.name}</strong>
        <span>{outing.holder}</span>
        <span className={late ? 'font-semibold text-rust' : 'text-quiet'}>
          {outing.closedAt
            ? `closed ${moment(outing.closedAt)}`
            : outing.dueBackOn
              ? `${late ? 'was due back' : 'due back'} ${day(outing.dueBackOn)}`
              : `since ${moment(outing.outAt)}`}
        </span>
        <span className={outing.missingNote ? 'text-amber-ink' : 'text-quiet'}>
          {outing.closedAt ? (away > 0 ? `${away} missing` : 'all back') : `${away} of ${outing.pieces.length} out`}
        </span>
      </Link>
    </li>
  );
}

import { type PlanSummary, planStates } from '@wainrope/contract';
import { wordsOf } from '@wainrope/core';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useAllPlansQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { moment } from '../shell/days.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useAddress } from '../shell/use-address.ts';
import { useFigures } from '../shell/use-figures.ts';
import { VerdictLabel } from '../shell/VerdictMark.tsx';
import { BringRig } from './documents/BringRig.tsx';
import { planStateWords } from './plan-words.ts';

export function PlanListPage() {
  const { data, error, refetch } = useAllPlansQuery(undefined, { refetchOnMountOrArgChange: true });
  const may = useMay();
  const { params, put: set } = useAddress();
  const search = params.get('q') ?? '';
  const state = planStates.find((entry) => entry === params.get('state')) ?? '';
  const fits = ({ name, weakest = '', state: own }: PlanSummary) =>
    (state === '' ? own !== 'archived' : own === state) && `${name} ${weakest}`.toLowerCase().includes(search.toLowerCase());
  const shown = (data ?? []).filter(fits);
  return (
    <div className="page py-4">
      <div className="flex flex-wrap items-end gap-4 border-b-2 border-ink pb-3">
        <PageHeading title="Plans" />
        <label className="w-64">
          <span className="sr-only">Search plans</span>
          <input type="search" placeholder="Search plans…" value={search} onChange={(event) => set('q', event.target.value)} />
        </label>
        <div className="w-44">
          <Choice
            label="In which state"
            labelIsHidden
            value={state}
            options={['', ...planStates]}
            words={(entry) => (entry === '' ? 'All except put away' : planStateWords[entry])}
            onChange={(entry) => set('state', entry)}
          />
        </div>
        {may('plan.write') && (
          <div className="ml-auto flex gap-2">
            <BringRig />
            <Link className="action-main" to="/plans/new">
              <Plus size={17} aria-hidden="true" /> New plan
            </Link>
          </div>
        )}
      </div>
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="the plans" />}
      {data && data.length === 0 && (
        <EmptyPage of="plans" words="No plan yet.">
          Begin one: pick the vehicle, say how badly it is stuck, place the tree. The rig is judged while you draw it.
        </EmptyPage>
      )}
      {data && data.length > 0 && shown.length === 0 && <p className="py-10 text-center text-lg">No plan fits this choice.</p>}
      <ul>
        {shown.map((plan) => (
          <PlanRow key={plan.planId} plan={plan} />
        ))}
      </ul>
      <p className="pt-4 text-[15px] text-quiet">
        Figures are estimates. The lowest marked limit and the maker’s instructions win. Keep everyone clear of a tensioned line.
      </p>
    </div>
  );
}

function PlanRow({ plan }: { readonly plan: PlanSummary }) {
  const { planId, name, version, state, savedAt, savedBy, verdict, outOfDate, weakest, reason } = plan;
  const { text } = useFigures();
  return (
    <li className="border-b border-rule">
      <Link to={`/plans/${planId}`} className="grid items-center gap-x-5 gap-y-1 px-1 py-3 hover:bg-sheet sm:grid-cols-[11rem_1fr_auto]">
        <span className="flex gap-2">
          <VerdictLabel verdict={verdict} struck={outOfDate.length > 0} />
        </span>
        <span>
          <span className="block font-head text-xl font-semibold">{name}</span>
          {reason && <span className="block">{text(wordsOf(reason).title)}</span>}
          <span className="block text-quiet">{weakest ? `weakest: ${weakest}` : ''}</span>
          {outOfDate.length > 0 && (
            <span className="block text-amber-ink">Out of date: {outOfDate.join(' ')} Open it for today’s judgement.</span>
          )}
        </span>
        <span className="text-[15px] text-quiet sm:text-right">
          {planStateWords[state].toLowerCase()}, version {version}, {savedBy}
          <span className="block">{moment(savedAt)}</span>
        </span>
      </Link>
    </li>
  );
}

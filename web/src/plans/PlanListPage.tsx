import { type PlanSummary, planStates } from '@wainrope/contract';
import { wordsOf } from '@wainrope/core';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useAllPlansQuery, useGetTeamQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { day, moment } from '../shell/days.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useAddress } from '../shell/use-address.ts';
import { useFigures } from '../shell/use-figures.ts';
import { VerdictLabel } from '../shell/VerdictMark.tsx';
import { BringRig } from './documents/BringRig.tsx';
import { RigSketch } from './layouts/RigSketch.tsx';
import { planStateWords } from './plan-words.ts';

/** What the list is narrowed to, each by its key in the address. */
interface Narrowed {
  readonly search: string;
  readonly state: PlanSummary['state'] | '';
  readonly person: string;
  readonly vehicle: string;
  readonly tag: string;
}

const fits = (
  { name, weakest = '', state: own, people, vehicles, tags, position = '' }: PlanSummary,
  { search, state, person, vehicle, tag }: Narrowed,
  /** The plan that it is a variant of, which it is found by too. */
  rootName = '',
): boolean =>
  (state === '' ? own !== 'archived' : own === state) &&
  (person === '' || people.includes(person)) &&
  (vehicle === '' || vehicles.includes(vehicle)) &&
  (tag === '' || tags.includes(tag)) &&
  [name, rootName, weakest, position, ...people, ...vehicles, ...tags].join(' ').toLowerCase().includes(search.toLowerCase());

/** Today's first, then those that were saved last. */
const byDay = (today: string) => (a: PlanSummary, b: PlanSummary) =>
  Number(b.asOf === today) - Number(a.asOf === today) || b.savedAt.localeCompare(a.savedAt);

/** Every plan followed by its variants; those of a plan that is not shown stand where they come. */
function withVariants(plans: readonly PlanSummary[]): readonly PlanSummary[] {
  const ids = new Set(plans.map(({ planId }) => planId));
  const isUnder = ({ variantOf }: PlanSummary) => variantOf !== undefined && ids.has(variantOf);
  return plans.filter((plan) => !isUnder(plan)).flatMap((plan) => [plan, ...plans.filter(({ variantOf }) => variantOf === plan.planId)]);
}

/** Everything that some plan has, in the order of the alphabet. */
const allOf = (plans: readonly PlanSummary[], list: (plan: PlanSummary) => readonly string[]): readonly string[] =>
  [...new Set(plans.flatMap(list))].sort((a, b) => a.localeCompare(b));

export function PlanListPage() {
  const { data, error, refetch } = useAllPlansQuery(undefined, { refetchOnMountOrArgChange: true });
  const { data: team } = useGetTeamQuery();
  const may = useMay();
  const { params, put: set } = useAddress();
  const narrowed: Narrowed = {
    search: params.get('q') ?? '',
    state: planStates.find((entry) => entry === params.get('state')) ?? '',
    person: params.get('person') ?? '',
    vehicle: params.get('vehicle') ?? '',
    tag: params.get('tag') ?? '',
  };
  const nameOf = new Map((data ?? []).map(({ planId, name }) => [planId, name]));
  const rootName = ({ variantOf }: PlanSummary) => (variantOf === undefined ? undefined : nameOf.get(variantOf));
  const fitting = (data ?? []).filter((plan) => fits(plan, narrowed, rootName(plan)));
  const shown = withVariants(fitting.sort(byDay(team?.today ?? '')));
  return (
    <div className="page py-4">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b-2 border-ink pb-3">
        <PageHeading title="Plans" />
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
      {data && data.length > 0 && <Narrowing plans={data} narrowed={narrowed} set={set} />}
      {data && data.length > 0 && shown.length === 0 && <p className="py-10 text-center text-lg">No plan fits this choice.</p>}
      <ul>
        {shown.map((plan) => (
          <PlanRow key={plan.planId} plan={plan} isToday={plan.asOf === team?.today} variantOf={rootName(plan)} />
        ))}
      </ul>
      <p className="pt-4 text-[15px] text-quiet">
        Figures are estimates. The lowest marked limit and the maker’s instructions win. Keep everyone clear of a tensioned line.
      </p>
    </div>
  );
}

interface NarrowingProps {
  readonly plans: readonly PlanSummary[];
  readonly narrowed: Narrowed;
  readonly set: (key: string, value: string | undefined) => void;
}

function Narrowing({ plans, narrowed: { search, state, person, vehicle, tag }, set }: NarrowingProps) {
  const choices = [
    ['person', 'Person', person, 'Everybody', allOf(plans, ({ people }) => people)],
    ['vehicle', 'Vehicle', vehicle, 'Every vehicle', allOf(plans, ({ vehicles }) => vehicles)],
    ['tag', 'Piece', tag, 'Every piece', allOf(plans, ({ tags }) => tags)],
  ] as const;
  return (
    <div className="grid grid-cols-2 gap-2 border-b border-rule py-2 sm:grid-cols-[minmax(12rem,1.6fr)_repeat(4,minmax(8rem,1fr))]">
      <label className="max-sm:col-span-2">
        <span className="sr-only">Search plans</span>
        <input type="search" placeholder="Name, person, vehicle, tag…" value={search} onChange={(event) => set('q', event.target.value)} />
      </label>
      <Choice
        label="State"
        labelIsHidden
        value={state}
        options={['', ...planStates]}
        words={(entry) => (entry === '' ? 'All except put away' : planStateWords[entry])}
        onChange={(entry) => set('state', entry)}
      />
      {choices.map(([key, label, value, all, options]) => (
        <Choice
          key={key}
          label={label}
          labelIsHidden
          value={value}
          options={['', ...options]}
          words={(entry) => (entry === '' ? all : entry)}
          onChange={(entry) => set(key, entry)}
        />
      ))}
    </div>
  );
}

interface PlanRowProps {
  readonly plan: PlanSummary;
  readonly isToday: boolean;
  /** Name of the plan that it is a variant of. */
  readonly variantOf: string | undefined;
}

function PlanRow({ plan, isToday, variantOf }: PlanRowProps) {
  const { planId, name, version, state, savedAt, savedBy, verdict, outOfDate, weakest, reason, asOf, people, vehicles, position, sketch } =
    plan;
  const { text } = useFigures();
  return (
    <li className="border-b border-rule">
      <Link
        to={`/plans/${planId}`}
        className="grid grid-cols-[6.5rem_1fr] items-start gap-x-4 gap-y-1 px-1 py-2.5 hover:bg-sheet sm:grid-cols-[10.5rem_9.5rem_1fr_auto]"
      >
        <span className="row-span-2 border border-rule bg-map sm:row-span-1">{sketch && <RigSketch sketch={sketch} />}</span>
        <span className="flex gap-2">
          <VerdictLabel verdict={verdict} struck={outOfDate.length > 0} />
        </span>
        <span className="min-w-0">
          <span className="block font-head text-xl font-semibold" data-plan-name>
            {name}
          </span>
          {variantOf !== undefined && (
            <span className="block" data-variant-of>
              variant of {variantOf}
            </span>
          )}
          {reason && <span className="block">{text(wordsOf(reason).title)}</span>}
          <span className="block text-quiet">{weakest ? `weakest: ${weakest}` : ''}</span>
          <span className="block text-[15px] text-quiet">{[...vehicles, ...people, position].filter(Boolean).join(' · ')}</span>
          {outOfDate.length > 0 && (
            <span className="block text-amber-ink">Out of date: {outOfDate.join(' ')} Open it for today’s judgement.</span>
          )}
        </span>
        <span className="text-[15px] text-quiet max-sm:col-span-2 sm:text-right">
          <strong className="text-ink">{isToday ? 'today' : day(asOf)}</strong>, {planStateWords[state].toLowerCase()}
          <span className="block max-sm:inline max-sm:before:content-['_·_']">
            version {version}, {savedBy}
          </span>
          <span className="block max-sm:hidden">{moment(savedAt)}</span>
        </span>
      </Link>
    </li>
  );
}

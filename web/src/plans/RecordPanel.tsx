import type { PlanState, PlanView } from '@wainrope/contract';
import { type Case, type Edit, type GearFacts, isAnsweredBy, type Rig, type ToldReport, withoutPieces } from '@wainrope/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useMay } from '../access/use-session.ts';
import {
  problemOf,
  useAddCommentMutation,
  useAllPlansQuery,
  useCreatePlanMutation,
  useGetTeamQuery,
  useKeepLayoutMutation,
  useLazyGetVersionQuery,
  useListCommentsQuery,
  useListVersionsQuery,
  useOverrideFindingMutation,
  useSetPlanStateMutation,
} from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { BringSeries } from '../logbook/BringSeries.tsx';
import { LogPull } from '../logbook/LogPull.tsx';
import { PlanSeries } from '../logbook/PlanSeries.tsx';
import { moment } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { verdictWords } from '../shell/VerdictMark.tsx';
import { useAppSelector } from '../store.ts';
import { TaskNote } from '../tasks/TaskNote.tsx';
import { CompareTable } from './compare/CompareTable.tsx';
import { CompareWith } from './compare/CompareWith.tsx';
import { Variants } from './compare/Variants.tsx';
import { standingWords } from './plan-words.ts';

interface RecordPanelProps {
  readonly plan: PlanView;
  readonly rig: Rig;
  readonly subject: Case;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly report: ToldReport;
  readonly apply: (edits: readonly Edit[]) => void;
}

/** Versions that are shown at first, and as many as are ever told. */
const VERSIONS = 30;
const MOST_VERSIONS = 500;

/**
 * The plan's life: its state, what is answered for, versions, what people say, copies. Nothing of it is drawn before all of it
 * is here: a list that grew would push the buttons below it from under a finger.
 */
export function RecordPanel(props: RecordPanelProps) {
  const { planId } = props.plan;
  const comments = useListCommentsQuery({ planId });
  const versions = useListVersionsQuery({ planId, limit: VERSIONS });
  if (comments.isLoading || versions.isLoading) return <Loading what="the plan’s record" className="py-2" />;
  return (
    <div className="space-y-5 py-2">
      <StateSection {...props} />
      <Variants {...props} />
      <PullSection {...props} />
      <Comments planId={planId} />
      <Versions {...props} />
      <OtherPlans {...props} />
      <Copies {...props} />
    </div>
  );
}

function PullSection({ plan, report }: RecordPanelProps) {
  const dirty = useAppSelector((state) => state.planner.dirty);
  const may = useMay();
  const { data: team } = useGetTeamQuery();
  if (!team) return null;
  return (
    <>
      <LogPull plan={plan} report={report} today={team.today} decimal={team.decimalMark} dirty={dirty} />
      <BringSeries plan={plan} report={report} today={team.today} dirty={dirty} />
      <PlanSeries planId={plan.planId} />
      {may('incident.write') && (
        <Link className="action mt-1" to={`/log/incidents/new?plan=${plan.planId}`}>
          Record an incident or a near miss
        </Link>
      )}
    </>
  );
}

const STEPS: { readonly [S in PlanState]: readonly (readonly [to: PlanState, words: string])[] } = {
  draft: [
    ['ready', 'Declare it ready'],
    ['archived', 'Put it away'],
  ],
  ready: [
    ['used', 'Note it as used'],
    ['draft', 'Back to draft'],
    ['archived', 'Put it away'],
  ],
  used: [
    ['draft', 'Back to draft'],
    ['archived', 'Put it away'],
  ],
  archived: [['draft', 'Bring it back']],
};

/** A variant is chosen or dropped; only a plan is declared ready. */
const DROPPED: (typeof STEPS)['draft'] = [['archived', 'Drop this variant']];
const stepsOf = ({ state, variantOf }: PlanView) => (variantOf !== undefined && state === 'draft' ? DROPPED : STEPS[state]);

function StateSection({ plan, report }: RecordPanelProps) {
  const dirty = useAppSelector((state) => state.planner.dirty);
  const { text } = useFigures();
  const may = useMay();
  const [setState, setting] = useSetPlanStateMutation();
  const fixes = report.findings.filter(
    (finding) => finding.severity === 'fix' && !finding.undecided && !plan.overrides.some((override) => isAnsweredBy(finding, override)),
  );
  return (
    <section aria-label="State">
      <h2 className="font-head text-lg font-semibold">
        {standingWords(plan)}
        <span className="font-sans text-[15px] font-normal text-quiet">
          {' '}
          version {plan.version}
          {plan.stateBy && plan.stateAt && `, ${plan.stateBy}, ${moment(plan.stateAt)}`}
        </span>
      </h2>
      {dirty && <p className="py-1 text-amber-ink">What you changed is not saved yet; the state is that of the saved version.</p>}
      {may('plan.write') && (
        <div className="flex flex-wrap gap-2 py-1">
          {stepsOf(plan).map(([to, words], index) => (
            <button
              key={to}
              type="button"
              className={index === 0 && plan.variantOf === undefined ? 'action-main' : 'action'}
              disabled={dirty || setting.isLoading}
              onClick={() =>
                setState({ planId: plan.planId, task: crypto.randomUUID(), planStateChange: { state: to, version: plan.version } })
              }
            >
              {words}
            </button>
          ))}
        </div>
      )}
      <TaskNote task={setting.originalArgs?.task} isRunning={setting.isLoading} what="Judging the plan" />
      <ProblemNote error={setting.error} />
      {problemOf(setting.error).status === 422 &&
        fixes.map((finding) => <Answer key={finding.id} plan={plan} findingId={finding.id} words={text(finding.title)} />)}
      {plan.overrides.length > 0 && (
        <ul className="pt-1">
          {plan.overrides.map(({ findingId, finding, reason, by }) => (
            <li key={findingId} className="border-b border-rule py-1">
              {finding}: <em>“{reason}”</em> <span className="text-quiet">{by} answers for it.</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A fix may stay as it is when somebody answers for it by name. */
function Answer({ plan, findingId, words }: { readonly plan: PlanView; readonly findingId: string; readonly words: string }) {
  const [reason, setReason] = useState('');
  const [override, overriding] = useOverrideFindingMutation();
  return (
    <form
      className="border-l-4 border-signal py-1 pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        override({ planId: plan.planId, overrideCreate: { overrideId: crypto.randomUUID(), version: plan.version, findingId, reason } });
      }}
    >
      <label className="block text-[15px]">
        {words}: why may it stay?
        <input value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
      </label>
      <button type="submit" className="action mt-1" disabled={reason.trim().length < 3 || overriding.isLoading}>
        I answer for it
      </button>
      <ProblemNote error={overriding.error} />
    </form>
  );
}

function Comments({ planId }: { readonly planId: string }) {
  const { data, error } = useListCommentsQuery({ planId });
  const [add, adding] = useAddCommentMutation();
  const [words, setWords] = useState('');
  const may = useMay();
  const send = async () => {
    const answer = await add({ planId, commentCreate: { commentId: crypto.randomUUID(), words: words.trim() } });
    if (answer.data) setWords('');
  };
  return (
    <section aria-label="Comments">
      <h2 className="font-head text-lg font-semibold">Comments</h2>
      <ProblemNote error={error} />
      <ul>
        {data?.items.map(({ commentId, words: said, by, at, version }) => (
          <li key={commentId} className="border-b border-rule py-1.5">
            {said}
            <span className="block text-[14px] text-quiet">
              {by}, {moment(at)}, of version {version}
            </span>
          </li>
        ))}
      </ul>
      {data?.items.length === 0 && <p className="py-1 text-quiet">Nothing yet.</p>}
      {may('plan.write') && (
        <form
          className="pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            void send();
          }}
        >
          <label className="block text-[15px]">
            Comment on this plan
            <textarea value={words} rows={2} maxLength={2000} onChange={(event) => setWords(event.target.value)} />
          </label>
          <button type="submit" className="action" disabled={words.trim() === '' || adding.isLoading}>
            Comment
          </button>
          <ProblemNote error={adding.error} />
        </form>
      )}
    </section>
  );
}

function Versions({ plan, subject, facts, report, apply }: RecordPanelProps) {
  const locked = useAppSelector((state) => state.planner.locked);
  const [limit, setLimit] = useState(VERSIONS);
  const { data, error, isFetching } = useListVersionsQuery({ planId: plan.planId, limit });
  const [open, opening] = useLazyGetVersionQuery();
  const [compared, setCompared] = useState<{ readonly version: number; readonly rig: Rig }>();
  const compare = async (version: number) => {
    const answer = await open({ planId: plan.planId, version });
    if (answer.data) setCompared({ version, rig: answer.data.rig });
  };
  const bring = async (version: number) => {
    const answer = await open({ planId: plan.planId, version });
    if (answer.data) apply([{ kind: 'replace-rig', rig: answer.data.rig }]);
  };
  return (
    <section aria-label="Versions">
      <h2 className="font-head text-lg font-semibold">Versions</h2>
      <ProblemNote error={error ?? opening.error} />
      <ol>
        {data?.items.map(({ version, savedBy, savedAt, verdict, changes }) => (
          <li key={version} className="border-b border-rule py-1.5" data-version={version}>
            <p className="flex flex-wrap items-center gap-x-2">
              <strong>Version {version}</strong>
              <span>{verdictWords[verdict]}</span>
              <span className="text-[14px] text-quiet">
                {savedBy}, {moment(savedAt)}
              </span>
              <span className="ml-auto flex gap-2">
                <button type="button" className="action" onClick={() => compare(version)}>
                  Compare
                </button>
                {version !== plan.version && !locked && (
                  <button type="button" className="action" onClick={() => bring(version)}>
                    Bring back
                  </button>
                )}
              </span>
            </p>
            {changes.map((words) => (
              <p key={words} className="pl-3 text-[15px]">
                {words}.
              </p>
            ))}
            {compared?.version === version && (
              <CompareTable
                {...{ subject, report, facts }}
                name={`Version ${version}`}
                rig={compared.rig}
                apply={locked ? undefined : apply}
                close={() => setCompared(undefined)}
              />
            )}
          </li>
        ))}
      </ol>
      {data?.isMore && limit < MOST_VERSIONS && (
        <button type="button" className="action mt-2" disabled={isFetching} onClick={() => setLimit(MOST_VERSIONS)}>
          Show earlier versions
        </button>
      )}
    </section>
  );
}

/** Another plan beside this one: two ways of doing it, until one is taken. */
function OtherPlans({ plan, subject, facts, report, apply }: RecordPanelProps) {
  const may = useMay();
  const [wanted, setWanted] = useState(false);
  const { data } = useAllPlansQuery(undefined, { skip: !wanted });
  const [otherId, setOther] = useState('');
  const others = (data ?? []).filter(({ planId, state }) => planId !== plan.planId && state !== 'archived');
  if (!may('plan.write')) return null;
  return (
    <section aria-label="Another plan">
      <h2 className="font-head text-lg font-semibold">Beside another plan</h2>
      {!wanted && (
        <button type="button" className="action my-1" onClick={() => setWanted(true)}>
          Compare with another plan…
        </button>
      )}
      {wanted && !data && <Loading what="the plans" className="py-1" />}
      {data && others.length === 0 && <p className="text-[15px]">There is no other plan. Copy this one and change the copy.</p>}
      {others.length > 0 && (
        <Choice
          label="Compare with"
          value={otherId}
          options={others.map(({ planId }) => planId)}
          words={(id) => others.find(({ planId }) => planId === id)?.name ?? ''}
          onChange={setOther}
        />
      )}
      <CompareWith {...{ plan, subject, facts, report, apply }} otherId={otherId} close={() => setOther('')} />
    </section>
  );
}

function Copies({ plan, rig }: RecordPanelProps) {
  const navigate = useNavigate();
  const may = useMay();
  const name = useAppSelector((state) => state.planner.name);
  const [create, creating] = useCreatePlanMutation();
  const [keep, keeping] = useKeepLayoutMutation();
  const [layoutName, setLayoutName] = useState('');
  const copy = async () => {
    const answer = await create({
      task: crypto.randomUUID(),
      planCreate: { planId: crypto.randomUUID(), name: `${name.slice(0, 110)}, copy`, rig },
    });
    if (answer.data) navigate(`/plans/${answer.data.planId}`);
  };
  if (!may('plan.write')) return null;
  return (
    <section aria-label="Copies">
      <h2 className="font-head text-lg font-semibold">Use it again</h2>
      <div className="flex flex-wrap gap-2 py-1">
        <button type="button" className="action" disabled={creating.isLoading} onClick={copy}>
          Copy the plan
        </button>
        <a className="action" href={`/api/v1/plans/${plan.planId}/rig-file`} download={`${name}.rig.json`}>
          Rig file
        </a>
      </div>
      <TaskNote task={creating.originalArgs?.task} isRunning={creating.isLoading} what="Judging the copy" />
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep({ layoutCreate: { layoutId: crypto.randomUUID(), name: layoutName.trim(), rig: withoutPieces(rig) } });
        }}
      >
        <label className="block text-[15px]">
          Keep how it is laid, as a layout of the team’s own
          <input
            value={layoutName}
            maxLength={80}
            placeholder="Name of the layout"
            onChange={(event) => setLayoutName(event.target.value)}
          />
        </label>
        <button type="submit" className="action mt-1" disabled={layoutName.trim() === '' || keeping.isLoading}>
          Keep the layout
        </button>
        {keeping.isSuccess && <p role="status">Kept. It is offered with the others when a plan begins.</p>}
      </form>
      <ProblemNote error={creating.error ?? keeping.error} />
    </section>
  );
}

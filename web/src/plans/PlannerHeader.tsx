import {
  endWords,
  force,
  length,
  type PlaceReport,
  percent,
  ratio,
  reasonOf,
  strandSentence,
  type ToldReport,
  type Verdict,
} from '@wainrope/core';
import { Download, Redo2, Undo2 } from 'lucide-react';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { useMay } from '../access/use-session.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { VerdictShape, verdictColours, verdictWords } from '../shell/VerdictMark.tsx';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { redone, renamed, undone } from './draft/planner-slice.ts';
import { endsEarly } from './pull/pull-rows.ts';

interface PlannerHeaderProps {
  readonly report: ToldReport | undefined;
  readonly pending: boolean;
  readonly planId: string;
  readonly save: () => void;
  readonly saving: boolean;
}

export const PlannerHeader = memo(function PlannerHeader({ report, pending, planId, save, saving }: PlannerHeaderProps) {
  const { name, version, dirty, locked, undoable, redoable } = useAppSelector(
    ({ planner: { name, version, dirty, locked, past, future } }) => ({
      name,
      version,
      dirty,
      locked,
      undoable: past.length > 0,
      redoable: future.length > 0,
    }),
    shallowEqual,
  );
  const dispatch = useAppDispatch();
  const may = useMay();
  const icon = 'grid size-11 place-items-center disabled:opacity-30';
  return (
    <div className="flex flex-wrap items-stretch gap-x-4 border-b border-rule px-3 max-[760px]:contents sm:px-5">
      <div className="flex min-w-0 flex-1 basis-72 items-center gap-1 py-1.5 max-[760px]:flex-none max-[760px]:px-3 max-[760px]:py-0 sm:basis-[24rem]">
        <PageHeading title={name} about="plan" className="sr-only" />
        <label className="min-w-0 flex-1">
          <span className="sr-only">Name of the plan</span>
          <input
            value={name}
            maxLength={120}
            readOnly={locked !== undefined}
            onChange={(event) => dispatch(renamed(event.target.value))}
            className="border-transparent! bg-transparent! px-0! font-head text-[19px] font-semibold sm:text-[25px] hover:border-b-rule!"
          />
        </label>
        <span className="hidden shrink-0 text-[14px] text-quiet sm:block">{dirty ? 'not saved' : `version ${version}`}</span>
        <button type="button" className={icon} disabled={!undoable} onClick={() => dispatch(undone())} aria-label="Undo">
          <Undo2 size={19} />
        </button>
        <button type="button" className={icon} disabled={!redoable} onClick={() => dispatch(redone())} aria-label="Redo">
          <Redo2 size={19} />
        </button>
        <a
          className={`${icon} hidden sm:grid`}
          href={`/api/v1/plans/${planId}/rig-file`}
          download={`${name}.rig.json`}
          aria-label="Export the saved plan as a rig file"
          title="Export the saved plan as a rig file"
        >
          <Download size={19} />
        </a>
        {may('plan.write') && !locked && (
          <button type="button" className="action-main" disabled={!dirty || saving || name.trim() === ''} onClick={save}>
            Save
          </button>
        )}
      </div>
      {report && <VerdictStrip report={report} pending={pending} />}
    </div>
  );
});

/** The verdict with its reason, and the weakest piece. On a phone it stays in view while one edits. */
function VerdictStrip({ report, pending }: { readonly report: ToldReport; readonly pending: boolean }) {
  const { figure, text } = useFigures();
  const weakest = report.places.find(({ id }) => id === report.weakestPlaceId);
  const limit = report.linePullLimit;
  const reason = reasonOf(report.findings);
  return (
    <div
      className={`my-1.5 flex max-w-full border-[1.5px] border-ink bg-sheet max-[760px]:sticky max-[760px]:top-0 max-[760px]:z-20 max-[760px]:my-0 ${pending ? 'opacity-80' : ''}`}
      aria-live="polite"
      data-verdict={report.verdict}
    >
      <VerdictBlock verdict={report.verdict} />
      <p className="min-w-0 px-3 py-1 leading-tight max-[760px]:flex-1 max-[760px]:px-2 max-[760px]:py-0">
        {reason && (
          <span className="block text-[16px] font-semibold max-[760px]:text-[15px] max-[760px]:leading-4" data-reason>
            {text(reason.title)}
          </span>
        )}
        <span
          className={`text-[14px] text-quiet ${reason ? 'mr-1.5' : 'block'} ${reason && !report.startOnly ? 'max-[760px]:hidden' : ''}`}
          data-extent
        >
          {extentWords(report, figure)}
          {reason && ':'}
        </span>
        <span
          className={
            reason
              ? 'text-[14px] max-[760px]:flex max-[760px]:gap-1 max-[760px]:leading-4'
              : 'block text-[16px] font-semibold max-[760px]:line-clamp-1'
          }
          data-weakest
        >
          <span className="max-[760px]:min-w-0 max-[760px]:truncate">{weakest ? weakestWords(weakest) : 'not known yet'}</span>
          {weakest && <span className="font-normal max-[760px]:shrink-0"> · {howWeak(weakest, figure)}</span>}
          {weakest && report.weakestAtM !== undefined && report.weakestAtM > 0 && (
            <span className="font-normal whitespace-nowrap max-[760px]:shrink-0"> at {figure(length(report.weakestAtM))}</span>
          )}
        </span>
      </p>
      {limit && (
        <p className="shrink-0 border-l border-rule px-3 py-1 leading-tight max-[760px]:px-2 max-[760px]:py-0.5">
          <span className="block text-[14px] text-quiet max-[760px]:leading-4">
            line-pull <br className="hidden max-[760px]:block" />
            limit
          </span>
          <span className="block whitespace-nowrap text-[16px]">
            <strong>{figure(force(limit.pullN))}</strong>
            <span className="hidden 2xl:inline"> keeps every piece within its limit</span>
          </span>
        </p>
      )}
    </div>
  );
}

/** Over how much of the act the verdict is. */
function extentWords({ startOnly, pull, runUp }: ToldReport, figure: ReturnType<typeof useFigures>['figure']): string {
  if (startOnly) return 'weakest, at the start alone';
  if (runUp) return 'weakest, at the peak';
  return pull.reachedM > 0 ? `weakest over ${figure(length(pull.reachedM))} of pull` : 'weakest';
}

function weakestWords({ tag, name, where, kind }: PlaceReport): string {
  return [tag, name, kind === 'legs' || kind === 'drum' ? `(${where})` : ''].filter(Boolean).join(' ');
}

/** Between a number and its unit where the line is short. */
const NO_BREAK = '\u00A0';

/** By how much a place is the weakest: over its limit as planned, else by whichever of the two checks decides. */
function howWeak({ stopRatio, wllN, worst = {} }: PlaceReport, figure: ReturnType<typeof useFigures>['figure']): string {
  const { utilisation = 0, breakingRatio, plannedN } = worst;
  if (wllN === 0) return 'no strength';
  if (utilisation <= 1 && breakingRatio !== undefined && stopRatio / breakingRatio > utilisation)
    return `breaks at ${figure(ratio(breakingRatio))} × the greatest pull`;
  return plannedN === undefined ? 'load not known' : `${figure(percent(utilisation)).replace(' ', NO_BREAK)} of its limit`;
}

function VerdictBlock({ verdict }: { readonly verdict: Verdict }) {
  return (
    <p
      className={`flex min-w-28 shrink-0 items-center justify-center gap-2 px-3 font-head text-[23px] max-[760px]:min-w-0 max-[760px]:px-2 max-[760px]:text-[19px] font-bold tracking-wide uppercase ${verdictColours[verdict]}`}
    >
      <VerdictShape verdict={verdict} />
      {verdictWords[verdict]}
    </p>
  );
}

/** Who pulls on the weakest piece, what was reckoned with, and how much line is left. */
export const PlannerSentence = memo(function PlannerSentence({ report }: { readonly report: ToldReport }) {
  const { figure, text } = useFigures();
  const weakest = report.places.find(({ id }) => id === report.weakestPlaceId);
  const legs = report.places.find(({ kind }) => kind === 'legs');
  const told = weakest && weakest.strands.length > 1 ? weakest : (legs ?? weakest);
  const sentence = told && strandSentence(report, told);
  const { drum } = report;
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 gap-y-0.5 border-b border-rule bg-sheet px-3 py-1.5 sm:px-5">
      {sentence && (
        <p className="font-semibold" data-strand-sentence>
          {text(sentence)}
        </p>
      )}
      <p className="text-[15px] text-quiet">
        {report.pullN !== undefined && (
          <>
            Pull needed {figure(force(report.pullN))}
            {report.runUp
              ? report.plannedPullN !== undefined && <>, peak of the run-up {figure(force(report.plannedPullN))}</>
              : report.plannedPullN !== undefined && <>, {figure(force(report.plannedPullN))} at the drum</>}
          </>
        )}
        {drum.lineOutM !== undefined && (
          <>
            {' '}
            · line out {figure(length(drum.lineOutM))}
            {drum.usableM !== undefined && <> of {figure(length(drum.usableM))} usable</>}
          </>
        )}
        {endsEarly(report) && (
          <strong className="text-rust" data-ends-early>
            {' '}
            · ends after {figure(length(report.pull.reachedM))}: {endWords[report.pull.end].toLowerCase()}
          </strong>
        )}
        {drum.wrapsLeft !== undefined && (
          <>
            {' '}
            · {drum.wrapsLeft.toFixed(0)} wraps stay ({drum.wrapsWanted} asked for) · layer {drum.layer}
          </>
        )}
      </p>
    </div>
  );
});

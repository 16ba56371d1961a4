import { endWords, force, length, type PlaceReport, reasonOf, strandSentence, type ToldReport, type Verdict } from '@wainrope/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { useMay } from '../access/use-session.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { useNarrow } from '../shell/use-media.ts';
import { VerdictShape, verdictColours, verdictWords } from '../shell/VerdictMark.tsx';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { renamed } from './draft/planner-slice.ts';
import { TakeBack } from './frame/TakeBack.tsx';
import { howWeak } from './how-weak.ts';
import { endsEarly } from './pull/pull-rows.ts';

interface PlannerHeaderProps {
  readonly report: ToldReport | undefined;
  readonly pending: boolean;
  /** What the plan is: its state, or that it is a variant. */
  readonly standing: string;
  readonly save: () => void;
  readonly saving: boolean;
}

export const PlannerHeader = memo(function PlannerHeader({ report, pending, standing, save, saving }: PlannerHeaderProps) {
  const { name, version, dirty, locked } = useAppSelector(
    ({ planner: { name, version, dirty, locked } }) => ({ name, version, dirty, locked }),
    shallowEqual,
  );
  const dispatch = useAppDispatch();
  const may = useMay();
  const narrow = useNarrow();
  const saveKey = may('plan.write') && !locked && (
    <button type="button" className="action-main max-[760px]:h-full" disabled={!dirty || saving || name.trim() === ''} onClick={save}>
      Save
    </button>
  );
  return (
    <div
      className="flex min-h-12 shrink-0 items-stretch gap-x-3 border-b border-rule bg-sheet pl-3 max-[760px]:flex-wrap max-[760px]:gap-x-0 max-[760px]:border-b-0 sm:pl-5"
      data-own-head
    >
      <div className="flex min-w-0 items-center max-[760px]:h-11 max-[760px]:basis-full min-[760px]:w-[24%]">
        <PageHeading title={name} about="plan" className="sr-only" />
        <label className="min-w-0 flex-1">
          <span className="sr-only">Name of the plan</span>
          <input
            value={name}
            title={name}
            maxLength={120}
            readOnly={locked !== undefined}
            onChange={(event) => dispatch(renamed(event.target.value))}
            className="truncate border-transparent! bg-transparent! px-0! font-head text-[19px] font-semibold min-[760px]:text-[22px] hover:border-b-rule!"
          />
        </label>
        {narrow && (
          <>
            <TakeBack />
            {saveKey}
          </>
        )}
      </div>
      {!narrow && (
        <span className="flex shrink-0 flex-col justify-center text-[14px] leading-tight text-quiet">
          <span>{standing}</span>
          <span>{dirty ? 'not saved' : `version ${version}`}</span>
        </span>
      )}
      {report && <VerdictStrip report={report} pending={pending} />}
      {!narrow && saveKey}
    </div>
  );
});

/** The verdict with its reason, and the weakest piece. */
function VerdictStrip({ report, pending }: { readonly report: ToldReport; readonly pending: boolean }) {
  const narrow = useNarrow();
  return (
    <div
      className={`flex min-w-0 flex-1 items-stretch max-[760px]:-ml-3 max-[760px]:h-13 max-[760px]:basis-full max-[760px]:border-y-[1.5px] max-[760px]:border-ink ${pending ? 'opacity-80' : ''}`}
      aria-live="polite"
      data-verdict={report.verdict}
    >
      <VerdictBlock verdict={report.verdict} />
      {narrow ? <ShortReason report={report} /> : <Reason report={report} />}
    </div>
  );
}

function Reason({ report }: { readonly report: ToldReport }) {
  const { figure, text, weakest, limit, reason } = useTold(report);
  return (
    <>
      <p className="flex min-w-0 flex-1 flex-col justify-center px-3 py-0.5 leading-[1.15]">
        {reason && (
          <span className="text-[15px] font-semibold" data-reason>
            {text(reason.title)}
          </span>
        )}
        <span className={reason ? 'text-[14px]' : 'text-[16px] font-semibold'} data-weakest>
          <span className="mr-1.5 text-[14px] font-normal text-quiet" data-extent>
            {extentWords(report, figure)}:
          </span>
          {weakest ? weakestWords(weakest) : 'not known yet'}
          {weakest && <span className="font-normal"> · {howWeak(weakest, figure)}</span>}
          {weakest && report.weakestAtM !== undefined && report.weakestAtM > 0 && (
            <span className="font-normal whitespace-nowrap"> at {figure(length(report.weakestAtM))}</span>
          )}
        </span>
      </p>
      {limit && (
        <p className="flex shrink-0 flex-col justify-center border-l border-rule px-3 leading-tight">
          <span className="text-[14px] text-quiet">line-pull limit</span>
          <strong className="text-[16px] whitespace-nowrap">{figure(force(limit.pullN))}</strong>
        </p>
      )}
    </>
  );
}

/** What of it a phone has room for: the reason, the weakest piece by its tag, the limit. */
function ShortReason({ report }: { readonly report: ToldReport }) {
  const { figure, text, weakest, limit, reason } = useTold(report);
  return (
    <>
      {reason && (
        <p className="flex min-w-0 flex-1 items-center px-2 text-[14px] leading-[15.5px] font-semibold">
          <span className="line-clamp-3" data-reason>
            {text(reason.title)}
          </span>
        </p>
      )}
      <p
        className={`flex flex-col justify-center px-2 text-[13px] leading-[15.5px] ${reason ? 'max-w-[34%] shrink-0 border-l border-rule' : 'min-w-0 flex-1 text-[15px]'}`}
      >
        <span className="flex gap-1 font-semibold whitespace-nowrap" data-weakest>
          <span className="min-w-0 truncate">{weakest ? (weakest.tag ?? weakest.name) : 'not known yet'}</span>
          {weakest && <span className="shrink-0">{howWeak(weakest, figure, true)}</span>}
        </span>
        {limit && <span className="whitespace-nowrap">limit {figure(force(limit.pullN))}</span>}
        {report.startOnly && (
          <span className="truncate" data-extent>
            at the start alone
          </span>
        )}
      </p>
    </>
  );
}

/** What a head tells of a report. */
function useTold({ places, weakestPlaceId, linePullLimit, findings }: ToldReport) {
  return {
    ...useFigures(),
    weakest: places.find(({ id }) => id === weakestPlaceId),
    limit: linePullLimit,
    reason: reasonOf(findings),
  };
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

function VerdictBlock({ verdict }: { readonly verdict: Verdict }) {
  return (
    <p
      className={`flex min-w-28 shrink-0 items-center justify-center gap-2 px-3 font-head text-[25px] max-[760px]:min-w-0 max-[760px]:px-2 max-[760px]:text-[19px] font-bold tracking-wide uppercase ${verdictColours[verdict]}`}
    >
      <VerdictShape verdict={verdict} />
      {verdictWords[verdict]}
    </p>
  );
}

interface PlannerSentenceProps {
  readonly report: ToldReport;
  /** Who pulls on the weakest piece alone. */
  readonly brief?: boolean;
}

/** Who pulls on the weakest piece, what was reckoned with, and how much line is left. */
export const PlannerSentence = memo(function PlannerSentence({ report, brief = false }: PlannerSentenceProps) {
  const { figure, text } = useFigures();
  const weakest = report.places.find(({ id }) => id === report.weakestPlaceId);
  const legs = report.places.find(({ kind }) => kind === 'legs');
  const told = weakest && weakest.strands.length > 1 ? weakest : (legs ?? weakest);
  const sentence = told && strandSentence(report, told);
  const { drum } = report;
  return (
    <div className="pointer-events-none! max-w-[44rem] px-3 pt-2 leading-tight min-[760px]:bg-map/80 min-[760px]:px-1 min-[760px]:pt-0">
      {sentence && (
        <p className="font-semibold" data-strand-sentence>
          {text(sentence)}
        </p>
      )}
      <p className="text-[15px] text-quiet" hidden={brief}>
        {report.pullN !== undefined && (
          <>
            Pull needed {figure(force(report.pullN))}
            {report.runUp
              ? report.plannedPullN !== undefined && <>, peak of the run-up {figure(force(report.plannedPullN))}</>
              : report.plannedPullN !== undefined && (
                  <>
                    , {figure(force(report.plannedPullN))} {report.drives[0]?.kind === 'hand' ? 'by hand' : 'at the drum'}
                  </>
                )}
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

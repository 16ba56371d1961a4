import { type Case, drivingSpeed, force, length, type RunUpReport, type ToldReport } from '@wainrope/core';
import { OneOfKeys } from '../../fields/OneOfKeys.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { StopKey, TurnKey } from './BarKeys.tsx';
import { PlayLine } from './PlayLine.tsx';
import { BEYOND, type PlayedRun, SLOWER, useRun } from './use-run.ts';

interface RunUpBarProps {
  readonly subject: Case;
  readonly report: ToldReport;
  readonly plan: RunUpReport;
  readonly close: () => void;
}

/** A run-up as a line of time under the drawing: from standing through first tension to rest, attempt by attempt. */
export function RunUpBar({ subject, report, plan, close }: RunUpBarProps) {
  const { played, chosen, choose, go, isRunning, turn, leave } = useRun(subject, plan);
  if (!played) return <Loading what="the run-up" className="border-t border-ink bg-sheet px-4 py-3" />;
  const { instant } = played;
  const attempts = plan.attempts.map((_, index) => [String(index), index === 0 ? 'attempt 1' : String(index + 1)] as const);
  return (
    <section
      aria-label="The run-up, played"
      className="no-print isolate flex shrink-0 flex-col border-t border-ink bg-sheet"
      data-run-at={instant.timeS.toFixed(2)}
      data-run-tension={Math.round(instant.tensionN)}
    >
      <div className="flex items-center gap-x-2 px-2 max-[760px]:flex-wrap max-[760px]:gap-x-0">
        <TurnKey isRunning={isRunning} turn={turn} />
        <RunWords {...{ played, subject }} limitN={report.linePullLimit?.pullN} peakN={peakOf(plan, chosen)} />
        <OneOfKeys
          label="Which attempt"
          value={chosen}
          options={[...attempts, [BEYOND, 'beyond'] as const]}
          choose={choose}
          className="ml-auto shrink-0 gap-3 text-[14px]"
        />
        <StopKey
          stop={() => {
            leave();
            close();
          }}
        />
      </div>
      <RunLine {...{ played, isRunning, go }} />
      <Warning isBeyond={chosen === BEYOND} isStop={report.verdict === 'stop'} />
    </section>
  );
}

interface RunWordsProps {
  readonly played: PlayedRun;
  readonly subject: Case;
  /** The line-pull limit, newtons, and the peak that this attempt is judged by. */
  readonly limitN: number | undefined;
  readonly peakN: number;
}

/** Where both vehicles are, and what that asks of the line. */
function RunWords({ played: { run, instant, towingId }, subject, limitN, peakN }: RunWordsProps) {
  const { figure } = useFigures();
  const [towing, stuck] = [nameOf(subject, towingId), nameOf(subject, subject.rig.load.bodyId)];
  const { timeS, tensionN, towedM, movedM } = instant;
  const limit = limitN === undefined ? 'limit not known' : `limit ${figure(force(limitN))}`;
  const highestN = Math.max(...run.planned.map((at) => at.tensionN));
  return (
    <p className="min-w-0 flex-1 py-1 leading-tight max-[760px]:order-last max-[760px]:basis-full" data-run-figures>
      <strong>
        {timeS < 0
          ? `${towing} gathers speed, the rope slack`
          : `${timeS.toFixed(2)} s after the rope came tight · ${figure(force(tensionN))}, ${limit}`}
      </strong>
      <span className="block text-[14px] text-quiet max-[760px]:text-[13px]">
        {figure(drivingSpeed(run.speedMPerS))} as it comes tight · {towing}{' '}
        {towedM < 0 ? `has ${figure(length(-towedM))} to go` : `is ${figure(length(towedM))} further on`} · {stuck} moved{' '}
        {figure(length(movedM))} · {SLOWER} times slower than real
      </span>
      {highestN < peakN * (1 - SAME_PEAK) && (
        <span className="block text-[14px] max-[760px]:text-[13px]" data-peak-judged>
          This run peaks at {figure(force(highestN))}. The judgement takes the higher {figure(force(peakN))} of a second reckoning.
        </span>
      )}
    </p>
  );
}

interface RunLineProps {
  readonly played: PlayedRun;
  readonly isRunning: boolean;
  readonly go: (to: number) => void;
}

/** The way from standing to rest, a stroke where the rope comes tight. */
function RunLine({ played: { at, whole, tightS, instant }, isRunning, go }: RunLineProps) {
  const { figure } = useFigures();
  return (
    <PlayLine
      label="How far the run-up has gone"
      at={at}
      whole={whole}
      step={0.01}
      words={`${instant.timeS.toFixed(2)} seconds from first tension, ${figure(force(instant.tensionN))}`}
      isRunning={isRunning}
      go={go}
      marks={
        <span
          aria-hidden="true"
          className="absolute top-1 h-6 w-0.5 bg-ink"
          style={{ left: `${whole > 0 ? (100 * tightS) / whole : 0}%` }}
          title="the rope comes tight"
        />
      }
      className="mb-1"
    />
  );
}

function Warning({ isBeyond, isStop }: { readonly isBeyond: boolean; readonly isStop: boolean }) {
  if (!isBeyond && !isStop) return null;
  return (
    <p className="px-4 pb-1.5 text-[14px] font-semibold text-rust">
      {isBeyond
        ? 'One step beyond the fastest attempt: it is shown so that nobody tries it.'
        : 'The verdict is stop: do not do what is played here.'}
    </p>
  );
}

/** A run that peaks lower than it is judged by more than this share is told so. */
const SAME_PEAK = 0.005;

const nameOf = ({ rig }: Case, bodyId: string): string => rig.bodies.find(({ id }) => id === bodyId)?.label ?? 'the vehicle';

const peakOf = ({ attempts, beyond }: RunUpReport, chosen: string): number => (attempts[Number(chosen)] ?? beyond).peakN;

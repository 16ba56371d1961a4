import {
  type Case,
  force,
  length,
  type MomentReport,
  percent,
  type Timeline,
  type ToldReport,
  temperature,
  withoutUnit,
} from '@wainrope/core';
import { ChartLine, ChevronFirst, ChevronLast } from 'lucide-react';
import { type KeyboardEvent, lazy, memo, Suspense, useMemo, useState } from 'react';
import { OneOfKeys } from '../../fields/OneOfKeys.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useStableActs } from '../../shell/use-stable-acts.ts';
import { verdictWords } from '../../shell/VerdictMark.tsx';
import { howWeak } from '../how-weak.ts';
import { StopKey, TurnKey } from './BarKeys.tsx';
import { useCalmMoment } from './MomentHolder.tsx';
import { PlayLine } from './PlayLine.tsx';
import { eventsAt, type PlayEvent, playEvents, steppedTo } from './play-events.ts';
import { clockWords, instantAt, type PlayedBy, restsAt, wholeOf } from './timeline-at.ts';
import { type Play, usePlay } from './use-play.ts';

const PlayChart = lazy(async () => ({ default: (await import('./PlayChart.tsx')).PlayChart }));

interface PlayBarProps {
  readonly subject: Case;
  readonly report: ToldReport;
  readonly close: () => void;
}

const KEY = 'grid h-11 min-w-10 place-items-center disabled:opacity-30';

/** The pull as a line of time under the drawing: played, stepped through, looked at as a chart. */
export function PlayBar({ subject, report, close }: PlayBarProps) {
  const play = usePlay(subject);
  const [charted, setCharted] = useState(false);
  const events = useMemo(() => playEvents(report), [report]);
  const { timeline, by, at, go, isRunning, pause, turn, setBy, moment } = play;
  const calm = useCalmMoment();
  const place = calm.place ?? play;
  const acts: Acts = useStableActs({
    turn,
    setBy,
    go: (to: number) => {
      pause();
      go(to);
    },
    step: (to: number | undefined) => {
      pause();
      if (to !== undefined) go(to, 'metre');
    },
    chart: () => setCharted(!charted),
    stop: () => {
      play.leave();
      close();
    },
  });
  if (!timeline) return <Loading what="the pull" className="border-t border-ink bg-sheet px-4 py-3" />;
  const { points } = timeline;
  const here = instantAt(points, by, at);
  const before = steppedTo(events, here.atM, 'before');
  const next = steppedTo(events, here.atM, 'next');
  return (
    <section
      aria-label="The pull, played"
      className="no-print isolate flex max-h-[calc(100%-13rem)] shrink-0 flex-col border-t border-ink bg-sheet"
      data-play-at={moment?.travelM.toFixed(2)}
      data-play-running={isRunning}
    >
      <Head {...{ at: place.at, atBy: place.by, moment: calm.moment, by, before, next, isRunning, charted, timeline, report, acts }} />
      <Line {...{ play, points, events, before, next, acts }} />
      <Happening {...{ at: place.at, atBy: place.by, events, points }} />
      {charted && (
        <Suspense fallback={<Loading what="the chart" className="px-4 py-3" />}>
          <PlayChart timeline={timeline} events={events} by={by} at={isRunning ? undefined : at} name={subject.name} />
        </Suspense>
      )}
    </section>
  );
}

/** What can be done at the bar. */
interface Acts {
  readonly [name: string]: (...said: never[]) => void;
  readonly turn: () => void;
  readonly setBy: (by: PlayedBy) => void;
  readonly go: (to: number) => void;
  /** To an event, by its metre. */
  readonly step: (to: number | undefined) => void;
  readonly chart: () => void;
  readonly stop: () => void;
}

/** Where it is, for words, which follow more calmly than thumb and drawing: metres or seconds. */
interface CalmPlace {
  readonly at: number;
  readonly atBy: PlayedBy;
}

interface HeadProps extends WhereProps {
  readonly by: PlayedBy;
  readonly before: number | undefined;
  readonly next: number | undefined;
  readonly isRunning: boolean;
  readonly charted: boolean;
  readonly acts: Acts;
}

/** The keys of the bar, and where it is. */
const Head = memo(function Head({ at, atBy, moment, by, before, next, isRunning, charted, timeline, report, acts }: HeadProps) {
  const { timeS } = instantAt(timeline.points, atBy, at);
  return (
    <div className="flex shrink-0 items-center gap-x-2 px-2 max-[760px]:flex-wrap max-[760px]:gap-x-0">
      <button type="button" className={KEY} disabled={before === undefined} onClick={() => acts.step(before)} aria-label="Previous event">
        <ChevronFirst size={20} />
      </button>
      <TurnKey isRunning={isRunning} turn={acts.turn} />
      <button type="button" className={KEY} disabled={next === undefined} onClick={() => acts.step(next)} aria-label="Next event">
        <ChevronLast size={20} />
      </button>
      <Where {...{ at, atBy, moment, timeline, report }} />
      <span className="ml-auto flex shrink-0 items-center">
        {timeS !== undefined && <OneOfKeys label="Play" value={by} options={BY} choose={acts.setBy} className="mr-1 gap-3 text-[14px]" />}
        <button type="button" className={KEY} aria-pressed={charted} onClick={acts.chart} aria-label="Chart of the pull">
          <ChartLine size={19} />
        </button>
        <StopKey stop={acts.stop} />
      </span>
    </div>
  );
});

interface WhereProps extends CalmPlace {
  readonly moment: MomentReport | undefined;
  readonly timeline: Timeline;
  readonly report: ToldReport;
}

/** Where the load is, and what that asks of line, winch and pieces. */
function Where({ at, atBy, moment, timeline, report }: WhereProps) {
  const { figure } = useFigures();
  const { points, motorTag, hottestC } = timeline;
  const { atM, timeS, heatC, chargeShare } = instantAt(points, atBy, at);
  const motor = motorTag === undefined ? 'motor' : `motor of ${motorTag}`;
  const highest = moment?.places.find(({ id }) => id === moment.highestPlaceId);
  const figures = [
    moment?.plannedPullN !== undefined && `line ${figure(force(moment.plannedPullN))} planned`,
    moment?.greatestPullN !== undefined && `${figure(force(moment.greatestPullN))} at most`,
    highest && `${highest.tag ?? highest.name} ${howWeak(highest, figure)}`,
    heatC !== undefined && `${motor} ${withoutUnit(figure(temperature(heatC)))} of ${figure(temperature(hottestC))}`,
    chargeShare !== undefined && `battery ${figure(percent(chargeShare))} full`,
    timeS === undefined && 'no time: the motor is not on record',
  ].filter((words) => words !== undefined && words !== false);
  return (
    <p className="min-w-0 flex-1 py-1 leading-tight max-[760px]:order-last max-[760px]:basis-full" data-play-figures>
      <strong className="whitespace-nowrap">
        {figure(length(atM))} of {figure(length(report.pull.reachedM))}
        {timeS !== undefined && ` · ${clockWords(timeS)}`}
        {atBy === 'time' && restsAt(points, at) && ' · the motor rests'}
      </strong>
      <span className="block text-[14px] text-quiet max-[760px]:text-[13px]">
        {figures.map((words, index) => (
          <span key={words}>
            {index > 0 && ' · '}
            <span className="whitespace-nowrap">{words}</span>
          </span>
        ))}
      </span>
    </p>
  );
}

const BY: readonly (readonly [PlayedBy, string])[] = [
  ['metre', 'by distance'],
  ['time', 'by time'],
];

interface LineProps {
  readonly play: Play;
  readonly points: Timeline['points'];
  readonly events: readonly PlayEvent[];
  readonly before: number | undefined;
  readonly next: number | undefined;
  readonly acts: Acts;
}

/** The way from slack to free, with what happens on it. Page up and page down step from one event to another. */
function Line({ play: { by, at, isRunning }, points, events, before, next, acts }: LineProps) {
  const { figure } = useFigures();
  const { atM, timeS } = instantAt(points, by, at);
  const keys = (event: KeyboardEvent) => {
    const to = event.key === 'PageUp' ? next : event.key === 'PageDown' ? before : undefined;
    if (event.key !== 'PageUp' && event.key !== 'PageDown') return;
    event.preventDefault();
    acts.step(to);
  };
  return (
    <PlayLine
      label="How far the pull has gone"
      at={at}
      whole={wholeOf(points, by)}
      step={by === 'metre' ? 0.01 : 0.5}
      words={`${figure(length(atM))}${timeS === undefined ? '' : `, ${clockWords(timeS)}`}`}
      isRunning={isRunning}
      go={acts.go}
      onKeyDown={keys}
      marks={<EventMarks {...{ points, by, events, acts }} />}
    />
  );
}

interface EventMarksProps extends Pick<LineProps, 'points' | 'events' | 'acts'> {
  readonly by: PlayedBy;
}

/** A mark for everything that happens on the way. */
const EventMarks = memo(function EventMarks({ points, by, events, acts }: EventMarksProps) {
  const whole = wholeOf(points, by);
  const share = (metre: number) => {
    const instant = instantAt(points, 'metre', metre);
    return whole > 0 ? (100 * (by === 'metre' ? instant.atM : (instant.timeS ?? 0))) / whole : 0;
  };
  return (
    <>
      {events.map(({ key, atM: metre, severity, worsens }) => (
        <button
          key={key}
          type="button"
          tabIndex={-1}
          aria-hidden="true"
          className="absolute top-0 z-10 -ml-2 grid h-5 w-4 place-items-center"
          style={{ left: `${share(metre)}%` }}
          onClick={() => acts.step(metre)}
        >
          {severity ? (
            <SeverityShape severity={severity} undecided={false} size={worsens ? 17 : 13} />
          ) : (
            <span className="block h-4 w-0.5 bg-ink" />
          )}
        </button>
      ))}
    </>
  );
});

interface HappeningProps extends CalmPlace {
  readonly events: readonly PlayEvent[];
  readonly points: Timeline['points'];
}

/** What happens here, and what comes next. */
const Happening = memo(function Happening({ at, atBy, events, points }: HappeningProps) {
  const { figure, text } = useFigures();
  const { atM } = instantAt(points, atBy, at);
  const here = eventsAt(events, atM);
  const next = steppedTo(events, atM, 'next');
  const coming = next === undefined ? undefined : eventsAt(events, next)[0];
  return (
    <p className="flex min-h-6 shrink-0 flex-wrap justify-between gap-x-4 px-4 pb-1.5 text-[14px] leading-tight" data-play-event>
      <span aria-live="polite" className="font-semibold max-[760px]:line-clamp-2">
        {here.map(({ key, words, worsens }) => (
          <span key={key} className="mr-3">
            {worsens && <span className="text-rust uppercase">{verdictWords[worsens]} from here: </span>}
            {text(words)}
          </span>
        ))}
      </span>
      {coming && (
        <span className="text-quiet max-[760px]:line-clamp-1">
          next at {figure(length(coming.atM))}: {text(coming.words)}
        </span>
      )}
    </p>
  );
});

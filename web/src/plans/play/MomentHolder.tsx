import type { MomentReport, ToldReport } from '@wainrope/core';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import { useCalm } from '../../shell/use-calm.ts';
import { type SheetPlan, SheetPlanContext, useSheetPlan } from '../draft/shown-plans.ts';
import { planAt, reportAt } from './moved-plan.ts';
import type { PlayedBy } from './timeline-at.ts';

type Drawn = (plan: SheetPlan) => SheetPlan;

/** Where a pull is when it is played: metres or seconds, by what it is played by. */
export interface PlayedPlace {
  readonly at: number;
  readonly by: PlayedBy;
}

interface Shown {
  /** The moment that is shown and where it was played to; missing where the plan is shown as it stands. */
  readonly moment: MomentReport | undefined;
  readonly place: PlayedPlace | undefined;
  /** What the sheet draws at an instant of a run-up, whose figures are those of its peak all the while; made where it is played. */
  readonly ran: Drawn | undefined;
  /** It goes on by itself. */
  readonly isRunning: boolean;
}

interface Show {
  readonly show: (moment: MomentReport | undefined, place: PlayedPlace, isRunning: boolean) => void;
  readonly showRun: (ran: Drawn | undefined, isRunning: boolean) => void;
  /** The plan as it stands. */
  readonly leave: () => void;
}

const nothing = () => undefined;
const ShowMoment = createContext<Show>({ show: nothing, showRun: nothing, leave: nothing });
const STANDING: Shown = { moment: undefined, place: undefined, ran: undefined, isRunning: false };
const ShownMoment = createContext(STANDING);
/** The same for words and figures, which follow more calmly. */
const CalmMoment = createContext(STANDING);

/** Holds the moment that is played, so that only what shows it is drawn anew with each. */
export function MomentHolder({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState(STANDING);
  const acts = useMemo(
    (): Show => ({
      show: (moment, place, isRunning) =>
        setShown((before) => (isOf(before, moment, place, isRunning) ? before : { ...STANDING, moment, place, isRunning })),
      showRun: (ran, isRunning) => setShown({ ...STANDING, ran, isRunning }),
      leave: () => setShown(STANDING),
    }),
    [],
  );
  return (
    <ShowMoment value={acts}>
      <ShownMoment value={shown}>
        <CalmMoment value={useCalm(shown, { isMoving: shown.isRunning })}>{children}</CalmMoment>
      </ShownMoment>
    </ShowMoment>
  );
}

const isOf = (shown: Shown, moment: MomentReport | undefined, { at, by }: PlayedPlace, isRunning: boolean): boolean =>
  shown.moment === moment && shown.place?.at === at && shown.place.by === by && shown.isRunning === isRunning;

/** Tells which moment is shown. */
export const useShowMoment = (): Show => useContext(ShowMoment);

/** What figures are told of, which follow more calmly than the drawing. */
export const useCalmMoment = (): Shown => useContext(CalmMoment);

/** The metre that is shown; undefined where the plan is shown as it stands. */
export const useShownMetre = (): number | undefined => useContext(CalmMoment).moment?.travelM;

interface AtMomentProps {
  readonly report: ToldReport;
  readonly isPlayed: boolean;
  /** So much later than the sheet's words it is drawn, in a frame of its own. */
  readonly afterMs: number;
  readonly children: (report: ToldReport, atM: number | undefined) => ReactNode;
}

/** What stands by a report, at the moment that is played. */
export function AtMoment({ report, isPlayed, afterMs, children }: AtMomentProps) {
  const calm = useContext(CalmMoment);
  const { moment } = useCalm(calm, { afterMs, isMoving: calm.isRunning });
  const played = isPlayed ? moment : undefined;
  const shown = useMemo(() => (played ? reportAt(report, played) : report), [report, played]);
  return children(shown, played?.travelM);
}

interface MovedProps {
  readonly isPlayed: boolean;
  readonly children: ReactNode;
}

/** The sheet inside, at the moment that is played; its words follow more calmly. */
export function Moved({ isPlayed, children }: MovedProps) {
  const plan = useSheetPlan();
  const live = useDrawnAt(plan, useContext(ShownMoment), isPlayed);
  const named = useDrawnAt(plan, useContext(CalmMoment), isPlayed);
  const moved = useMemo(() => (isPlayed ? { ...live, named } : live), [isPlayed, live, named]);
  return <SheetPlanContext value={moved}>{children}</SheetPlanContext>;
}

function useDrawnAt(plan: SheetPlan, { moment, ran }: Shown, isPlayed: boolean): SheetPlan {
  return useMemo(() => {
    if (!isPlayed) return plan;
    if (ran) return ran(plan);
    return moment ? planAt(plan, moment) : plan;
  }, [plan, isPlayed, moment, ran]);
}

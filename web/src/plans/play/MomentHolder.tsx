import type { MomentReport, ToldReport } from '@wainrope/core';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { useCalm } from '../../shell/use-calm.ts';
import { type SheetPlan, SheetPlanContext, useSheetPlan } from '../draft/shown-plans.ts';
import { planAt, reportAt } from './moved-plan.ts';

type Drawn = (plan: SheetPlan) => SheetPlan;

interface Shown {
  /** The moment that is shown; missing where the plan is shown as it stands. */
  readonly moment: MomentReport | undefined;
  readonly show: (moment: MomentReport | undefined) => void;
  /** What the sheet draws at an instant of a run-up, whose figures are those of its peak all the while; made where it is played. */
  readonly ran: Drawn | undefined;
  readonly showRun: (ran: Drawn | undefined) => void;
}

const nothing = () => undefined;
const ShownMoment = createContext<Shown>({ moment: undefined, show: nothing, ran: undefined, showRun: nothing });
/** The same for words and figures, which follow more calmly. */
const CalmMoment = createContext<Pick<Shown, 'moment' | 'ran'>>({ moment: undefined, ran: undefined });

/** Holds the moment that is played, so that only what shows it is drawn anew with each. */
export function MomentHolder({ children }: { readonly children: ReactNode }) {
  const [moment, show] = useState<MomentReport>();
  const [ran, setRan] = useState<Drawn>();
  const showRun = useCallback((next: Drawn | undefined) => setRan(() => next), []);
  const shown = useMemo(() => ({ moment, show, ran, showRun }), [moment, ran, showRun]);
  return (
    <ShownMoment value={shown}>
      <Calm>{children}</Calm>
    </ShownMoment>
  );
}

function Calm({ children }: { readonly children: ReactNode }) {
  const { moment, ran } = useContext(ShownMoment);
  const calm = useCalm(useMemo(() => ({ moment, ran }), [moment, ran]));
  return <CalmMoment value={calm}>{children}</CalmMoment>;
}

/** Tells which moment is shown. */
export const useShowMoment = (): Shown['show'] => useContext(ShownMoment).show;
export const useShowRun = (): Shown['showRun'] => useContext(ShownMoment).showRun;

/** The metre that is shown; undefined where the plan is shown as it stands. */
export const useShownMetre = (): number | undefined => useContext(CalmMoment).moment?.travelM;

interface AtMomentProps {
  readonly report: ToldReport;
  readonly isPlayed: boolean;
  readonly children: (report: ToldReport, atM: number | undefined) => ReactNode;
}

/** What stands by a report, at the moment that is played. */
export function AtMoment({ report, isPlayed, children }: AtMomentProps) {
  const { moment } = useContext(CalmMoment);
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

function useDrawnAt(plan: SheetPlan, { moment, ran }: Pick<Shown, 'moment' | 'ran'>, isPlayed: boolean): SheetPlan {
  return useMemo(() => {
    if (!isPlayed) return plan;
    if (ran) return ran(plan);
    return moment ? planAt(plan, moment) : plan;
  }, [plan, isPlayed, moment, ran]);
}

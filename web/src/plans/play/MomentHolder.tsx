import type { MomentReport, ToldReport } from '@wainrope/core';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import { useCalm } from '../../shell/use-calm.ts';
import { type SheetPlan, SheetPlanContext, useSheetPlan } from '../draft/shown-plans.ts';
import { planAt, reportAt } from './moved-plan.ts';

type Drawn = (plan: SheetPlan) => SheetPlan;

interface Shown {
  /** The moment that is shown; missing where the plan is shown as it stands. */
  readonly moment: MomentReport | undefined;
  /** What the sheet draws at an instant of a run-up, whose figures are those of its peak all the while; made where it is played. */
  readonly ran: Drawn | undefined;
}

interface Show {
  readonly show: (moment: MomentReport | undefined) => void;
  readonly showRun: (ran: Drawn | undefined) => void;
}

const nothing = () => undefined;
const ShowMoment = createContext<Show>({ show: nothing, showRun: nothing });
const ShownMoment = createContext<Shown>({ moment: undefined, ran: undefined });
/** The same for words and figures, which follow more calmly. */
const CalmMoment = createContext<Shown>({ moment: undefined, ran: undefined });

/** Holds the moment that is played, so that only what shows it is drawn anew with each. */
export function MomentHolder({ children }: { readonly children: ReactNode }) {
  const [moment, show] = useState<MomentReport>();
  const [ran, setRan] = useState<Drawn>();
  const acts = useMemo((): Show => ({ show, showRun: (next) => setRan(() => next) }), []);
  const shown = useMemo(() => ({ moment, ran }), [moment, ran]);
  return (
    <ShowMoment value={acts}>
      <ShownMoment value={shown}>
        <CalmMoment value={useCalm(shown)}>{children}</CalmMoment>
      </ShownMoment>
    </ShowMoment>
  );
}

/** Tells which moment is shown. */
export const useShowMoment = (): Show => useContext(ShowMoment);

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

function useDrawnAt(plan: SheetPlan, { moment, ran }: Shown, isPlayed: boolean): SheetPlan {
  return useMemo(() => {
    if (!isPlayed) return plan;
    if (ran) return ran(plan);
    return moment ? planAt(plan, moment) : plan;
  }, [plan, isPlayed, moment, ran]);
}

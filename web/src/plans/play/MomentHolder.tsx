import type { MomentReport, ToldReport } from '@wainrope/core';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import { SheetPlanContext, useSheetPlan } from '../draft/shown-plans.ts';
import { planAt, reportAt } from './moved-plan.ts';

interface Shown {
  /** The moment that is shown; missing where the plan is shown as it stands. */
  readonly moment: MomentReport | undefined;
  readonly show: (moment: MomentReport | undefined) => void;
}

const ShownMoment = createContext<Shown>({ moment: undefined, show: () => undefined });

/** Holds the moment that is played, so that only what shows it is drawn anew with each. */
export function MomentHolder({ children }: { readonly children: ReactNode }) {
  const [moment, show] = useState<MomentReport>();
  const shown = useMemo(() => ({ moment, show }), [moment]);
  return <ShownMoment value={shown}>{children}</ShownMoment>;
}

/** Tells which moment is shown. */
export const useShowMoment = (): Shown['show'] => useContext(ShownMoment).show;

/** The metre that is shown; undefined where the plan is shown as it stands. */
export const useShownMetre = (): number | undefined => useContext(ShownMoment).moment?.travelM;

interface AtMomentProps {
  readonly report: ToldReport;
  readonly isPlayed: boolean;
  readonly children: (report: ToldReport, atM: number | undefined) => ReactNode;
}

/** What stands by a report, at the moment that is played. */
export function AtMoment({ report, isPlayed, children }: AtMomentProps) {
  const { moment } = useContext(ShownMoment);
  const played = isPlayed ? moment : undefined;
  const shown = useMemo(() => (played ? reportAt(report, played) : report), [report, played]);
  return children(shown, played?.travelM);
}

interface MovedProps {
  readonly isPlayed: boolean;
  readonly children: ReactNode;
}

/** The sheet inside, at the moment that is played. */
export function Moved({ isPlayed, children }: MovedProps) {
  const plan = useSheetPlan();
  const { moment } = useContext(ShownMoment);
  const played = isPlayed ? moment : undefined;
  const moved = useMemo(() => (played ? planAt(plan, played) : plan), [plan, played]);
  return <SheetPlanContext value={moved}>{children}</SheetPlanContext>;
}

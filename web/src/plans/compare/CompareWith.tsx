import { skipToken } from '@reduxjs/toolkit/query/react';
import type { PlanView } from '@wainrope/contract';
import type { Case, Edit, GearFacts, ToldReport } from '@wainrope/core';
import { useGetPlanQuery } from '../../api/wainrope-api.ts';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { useAppSelector } from '../../store.ts';
import { CompareTable } from './CompareTable.tsx';

export interface CompareWithProps {
  /** The other plan; empty where none is chosen. */
  readonly otherId: string;
  readonly plan: PlanView;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly close: () => void;
}

/** Another plan, as it was saved last, beside the one that is open. */
export function CompareWith({ otherId, plan, subject, report, facts, apply, close }: CompareWithProps) {
  const locked = useAppSelector((state) => state.planner.locked);
  const { currentData: other, error } = useGetPlanQuery(otherId === '' ? skipToken : { planId: otherId });
  return (
    <>
      <ProblemNote error={error} />
      {other && (
        <CompareTable
          key={other.planId}
          {...{ subject, report, facts, close }}
          name={other.name}
          here={plan.name}
          rig={other.rig}
          apply={locked ? undefined : apply}
        />
      )}
    </>
  );
}

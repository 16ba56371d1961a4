import type { PlanUnderPolicy } from '@wainrope/contract';
import { Link } from 'react-router';
import { VerdictLabel } from '../shell/VerdictMark.tsx';

/** Plans that another policy would turn out of date, and the verdicts that it would change. */
export function WhatItChanges({ plans }: { readonly plans: readonly PlanUnderPolicy[] }) {
  const turned = plans.filter(({ before, after }) => before !== after);
  return (
    <div className="py-1" data-policy-preview>
      <p>
        {plans.length} {plans.length === 1 ? 'plan turns' : 'plans turn'} out of date.{' '}
        {turned.length === 0 ? 'No verdict changes.' : 'Verdicts that change:'}
      </p>
      <ul>
        {turned.map(({ planId, name, before, after }) => (
          <li key={planId} className="flex flex-wrap items-center gap-2 py-0.5">
            <Link className="underline" to={`/plans/${planId}`}>
              {name}
            </Link>
            <VerdictLabel verdict={before} struck /> → <VerdictLabel verdict={after} />
          </li>
        ))}
      </ul>
    </div>
  );
}

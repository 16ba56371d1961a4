import type { ReactNode } from 'react';
import { useAppSelector } from '../../store.ts';

/** Fields and buttons that change the plan: shown to whoever only reads it, and out of use there. */
export function Unlocked({ children }: { readonly children: ReactNode }) {
  const locked = useAppSelector((state) => state.planner.locked);
  return (
    <fieldset disabled={locked !== undefined} className="contents">
      {children}
    </fieldset>
  );
}

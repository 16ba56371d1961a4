import { useEffect } from 'react';
import { useGetPlanQuery } from '../../api/wainrope-api.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { newestDraft } from './drafts.ts';
import { planOpened } from './planner-slice.ts';

/** What was read less than this long ago is not read again, s. */
const JUST_READ_S = 5;

/**
 * Opens a plan in the planner: this device's unsaved work where there is some, else what is saved. Work that was begun on an
 * older version opens on that version, so that saving it shows the conflict instead of hiding it. A plan left open without
 * changes follows what others have saved since.
 */
export function useOpenPlan(planId: string) {
  const { data: plan, error, refetch } = useGetPlanQuery({ planId }, { refetchOnMountOrArgChange: JUST_READ_S });
  const opened = useAppSelector((state) => state.planner.planId);
  const version = useAppSelector((state) => state.planner.version);
  const dirty = useAppSelector((state) => state.planner.dirty);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!plan || plan.planId !== planId) return;
    const current = opened === planId;
    if (current && (dirty || version >= plan.version)) return;
    const draft = current ? undefined : newestDraft(planId);
    dispatch(
      planOpened({
        planId,
        version: draft?.version ?? plan.version,
        name: draft?.name ?? plan.name,
        rig: draft?.rig ?? plan.rig,
        dirty: draft !== undefined,
      }),
    );
  }, [plan, planId, opened, version, dirty, dispatch]);
  return { plan: opened === planId ? plan : undefined, error, refetch };
}

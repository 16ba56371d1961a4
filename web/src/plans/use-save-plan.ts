import type { PlanView } from '@wainrope/contract';
import type { Rig } from '@wainrope/core';
import { useCallback, useEffect, useState } from 'react';
import { problemOf, useSavePlanMutation, wainropeApi } from '../api/wainrope-api.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { dropDraft, keepDraft } from './drafts.ts';
import { planOpened, rebased, saved } from './planner-slice.ts';

/** Saving the open plan, its draft on this device, and what to do when somebody else saved first. */
export function useSavePlan(planId: string) {
  const { rig, name, version, dirty } = useAppSelector((state) => state.planner);
  const dispatch = useAppDispatch();
  const [savePlan, saving] = useSavePlanMutation();
  const [conflict, setConflict] = useState<PlanView>();
  useEffect(() => {
    if (dirty && rig) keepDraft(planId, version, { name, rig });
  }, [dirty, rig, name, version, planId]);
  const save = useCallback(async () => {
    if (!rig) return;
    const answer = await savePlan({ planId, planSave: { name: name.trim(), rig: rig as never, baseVersion: version } });
    if (answer.data) {
      dropDraft(planId, version);
      dispatch(saved({ version: answer.data.version }));
      dispatch(wainropeApi.util.upsertQueryData('getPlan', { planId }, answer.data));
      dispatch(wainropeApi.util.invalidateTags(['Plan']));
      return setConflict(undefined);
    }
    const problem = problemOf(answer.error);
    if (problem.status === 409) setConflict(problem.current as PlanView);
  }, [rig, name, version, planId, savePlan, dispatch]);
  const settle = (choice: 'theirs' | 'mine') => {
    if (!conflict) return;
    dropDraft(planId, version);
    if (choice === 'theirs') dispatch(planOpened({ planId, version: conflict.version, name: conflict.name, rig: conflict.rig as Rig }));
    else dispatch(rebased({ version: conflict.version }));
    setConflict(undefined);
  };
  const failure = saving.error && problemOf(saving.error).status !== 409 ? saving.error : undefined;
  return { save, saving: saving.isLoading, conflict, settle, failure };
}

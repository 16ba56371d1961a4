import type { PlanView } from '@wainrope/contract';
import { useCallback, useEffect, useState } from 'react';
import { problemOf, useSavePlanMutation, wainropeApi } from '../../api/wainrope-api.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../../store.ts';
import { dropDraft, keepDraft } from './drafts.ts';
import { planOpened, rebased, saved } from './planner-slice.ts';

/** What is not saved yet is kept on this device with every change; while something is dragged, once it is let go. */
function useKeptDraft(planId: string): void {
  const rig = useAppSelector((state) => (state.planner.held ? undefined : state.planner.rig));
  const name = useAppSelector((state) => state.planner.name);
  const version = useAppSelector((state) => state.planner.version);
  const dirty = useAppSelector((state) => state.planner.dirty);
  useEffect(() => {
    if (dirty && rig) keepDraft(planId, version, { name, rig });
  }, [dirty, rig, name, version, planId]);
}

/** Saving the open plan, its draft on this device, and what to do when somebody else saved first. */
export function useSavePlan(planId: string) {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const [savePlan, saving] = useSavePlanMutation();
  const [conflict, setConflict] = useState<PlanView>();
  useKeptDraft(planId);
  const save = useCallback(async () => {
    const { rig, name, version } = store.getState().planner;
    if (!rig) return;
    const answer = await savePlan({ planId, task: crypto.randomUUID(), planSave: { name: name.trim(), rig, baseVersion: version } });
    if (answer.data) {
      dropDraft(planId, version);
      dispatch(saved({ version: answer.data.version }));
      dispatch(wainropeApi.util.upsertQueryData('getPlan', { planId }, answer.data));
      dispatch(wainropeApi.util.invalidateTags(['Plan']));
      return setConflict(undefined);
    }
    const problem = problemOf(answer.error);
    if (problem.current !== undefined) setConflict(problem.current as PlanView);
  }, [store, planId, savePlan, dispatch]);
  const settle = (choice: 'theirs' | 'mine') => {
    if (!conflict) return;
    dropDraft(planId, store.getState().planner.version);
    if (choice === 'theirs') dispatch(planOpened({ planId, version: conflict.version, name: conflict.name, rig: conflict.rig }));
    else dispatch(rebased({ version: conflict.version }));
    setConflict(undefined);
  };
  const failure = saving.error && problemOf(saving.error).current === undefined ? saving.error : undefined;
  return { save, saving: saving.isLoading, task: saving.originalArgs?.task, conflict, settle, failure };
}

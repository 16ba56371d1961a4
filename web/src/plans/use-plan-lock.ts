import { useCallback, useEffect, useRef } from 'react';
import { useMay } from '../access/use-session.ts';
import { useAppDispatch } from '../store.ts';
import { lockChanged } from './planner-slice.ts';

/** One tab works on a plan, others read; who may not write reads too. Where the browser has no locks, every tab may work. */
export function usePlanLock(planId: string) {
  const dispatch = useAppDispatch();
  const writes = useMay()('plan.write');
  const release = useRef<(() => void) | undefined>(undefined);
  const hold = useCallback(
    (steal: boolean) => {
      if (!('locks' in navigator)) return;
      const keep = (lock: Lock | null) => {
        dispatch(lockChanged(lock ? undefined : 'other-tab'));
        if (!lock) return;
        return new Promise<void>((done) => {
          release.current = done;
        });
      };
      // A lock that another tab takes over is rejected here: from then on this tab reads.
      navigator.locks
        .request(`wainrope-plan-${planId}`, steal ? { steal: true } : { ifAvailable: true }, keep)
        .catch(() => dispatch(lockChanged('other-tab')));
    },
    [planId, dispatch],
  );
  useEffect(() => {
    if (!writes) {
      dispatch(lockChanged('reader'));
      return;
    }
    dispatch(lockChanged(undefined));
    hold(false);
    return () => release.current?.();
  }, [writes, hold, dispatch]);
  return { takeOver: () => hold(true) };
}

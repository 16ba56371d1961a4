import { useCallback, useEffect, useRef } from 'react';
import { useMay } from '../access/use-session.ts';
import { useAppDispatch } from '../store.ts';
import { lockChanged } from './planner-slice.ts';

/** How long a tab that was just left may still hold its lock, milliseconds. */
const LINGER_MS = 400;

interface Hold {
  gone: boolean;
  release?: () => void;
}

/** One tab works on a plan, others read; who may not write reads too. Where the browser has no locks, every tab may work. */
export function usePlanLock(planId: string) {
  const dispatch = useAppDispatch();
  const writes = useMay()('plan.write');
  const held = useRef<Hold>({ gone: false });
  const ask = useCallback(
    (hold: Hold, how: 'first' | 'again' | 'steal') => {
      const keep = (lock: Lock | null) => {
        if (hold.gone) return;
        if (!lock && how === 'first') return void setTimeout(() => ask(hold, 'again'), LINGER_MS);
        dispatch(lockChanged(lock ? undefined : 'other-tab'));
        if (!lock) return;
        return new Promise<void>((done) => {
          hold.release = done;
        });
      };
      // A lock that another tab takes over is rejected here: from then on this tab reads.
      const lost = () => {
        if (!hold.gone) dispatch(lockChanged('other-tab'));
      };
      navigator.locks.request(`wainrope-plan-${planId}`, how === 'steal' ? { steal: true } : { ifAvailable: true }, keep).catch(lost);
    },
    [planId, dispatch],
  );
  useEffect(() => {
    dispatch(lockChanged(writes ? undefined : 'reader'));
    if (!writes || !('locks' in navigator)) return;
    const hold: Hold = { gone: false };
    held.current = hold;
    ask(hold, 'first');
    return () => {
      hold.gone = true;
      hold.release?.();
    };
  }, [writes, ask, dispatch]);
  return { takeOver: () => ask(held.current, 'steal') };
}

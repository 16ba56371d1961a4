import { useCallback, useEffect, useRef } from 'react';
import { useMay } from '../../access/use-session.ts';
import { useAppDispatch } from '../../store.ts';
import { newestDraft } from './drafts.ts';
import { lockChanged, planOpened } from './planner-slice.ts';

/** How long a tab that was just left may still hold its lock, milliseconds. */
const LINGER_MS = 400;

/** What the other tab had not saved yet is on the device: it is gone on with here. */
function takeUp(planId: string, dispatch: ReturnType<typeof useAppDispatch>): void {
  const draft = newestDraft(planId);
  if (draft) dispatch(planOpened({ planId, ...draft, dirty: true }));
}

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
      const taken = () => {
        dispatch(lockChanged(undefined));
        if (how === 'steal') takeUp(planId, dispatch);
        return new Promise<void>((done) => {
          hold.release = done;
        });
      };
      const refused = () => {
        if (how === 'first') setTimeout(() => ask(hold, 'again'), LINGER_MS);
        else dispatch(lockChanged('other-tab'));
      };
      const answered = (lock: Lock | null) => (hold.gone ? undefined : lock ? taken() : refused());
      // A lock that another tab takes over is rejected here: from then on this tab reads.
      const lost = () => !hold.gone && dispatch(lockChanged('other-tab'));
      navigator.locks.request(`wainrope-plan-${planId}`, how === 'steal' ? { steal: true } : { ifAvailable: true }, answered).catch(lost);
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

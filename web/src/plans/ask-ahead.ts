import { wainropeApi } from '../api/wainrope-api.ts';
import type { AppDispatch } from '../store.ts';

const PLAN = /^\/plans\/([0-9a-f]{8}-[0-9a-f-]{27})\/?$/;

/**
 * Asks for all that the page of a plan reads, while it is asked who is signed in. Nothing depends on it: the page itself asks again for
 * what has not come.
 */
export function askAhead(pathname: string, dispatch: AppDispatch): void {
  const planId = PLAN.exec(pathname)?.[1];
  if (planId === undefined) return;
  const { getPlan, getTeam, wholeRegister } = wainropeApi.endpoints;
  const unheld = { subscribe: false };
  dispatch(getPlan.initiate({ planId }, unheld));
  dispatch(getTeam.initiate(undefined, unheld));
  dispatch(wholeRegister.initiate(undefined, unheld));
}

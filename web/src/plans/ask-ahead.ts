import { wainropeApi } from '../api/wainrope-api.ts';
import type { AppDispatch } from '../store.ts';

const PLAN = /^\/plans\/([0-9a-f]{8}-[0-9a-f-]{27})\/?$/;

/**
 * Who opens the application at a plan's address gets the planner's page and all it reads at once, not one after the other. Nothing waits
 * for it and nothing fails by it: the page asks for whatever has not come, and says what cannot be had.
 */
export function askAhead(pathname: string, dispatch: AppDispatch): void {
  const planId = PLAN.exec(pathname)?.[1];
  if (planId === undefined) return;
  import('./PlannerPage.tsx').catch(() => undefined);
  const { getPlan, getTeam, wholeRegister } = wainropeApi.endpoints;
  const unheld = { subscribe: false };
  dispatch(getPlan.initiate({ planId }, unheld));
  dispatch(getTeam.initiate(undefined, unheld));
  dispatch(wholeRegister.initiate(undefined, unheld));
}

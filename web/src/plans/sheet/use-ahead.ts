import type { Body } from '@wainrope/core';
import { type RefObject, useCallback, useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { followHeld, heldAhead } from '../draft/held-ahead.ts';

/** A body where the pointer holds it, ahead of the draft: it alone is drawn anew with each move. */
export function useAhead<B extends Body>(body: B): B {
  const held = useSyncExternalStore(
    followHeld,
    useCallback(() => heldAhead(body.id), [body.id]),
  );
  return held ? { ...body, xM: held.xM, yM: held.yM } : body;
}

/** For what goes with a body and is not wanted while the pointer holds it: it is hidden meanwhile, so that the body alone has to be moved. */
export function useHiddenWhileHeld<E extends SVGElement>(id: string): RefObject<E | null> {
  const part = useRef<E>(null);
  useLayoutEffect(() => {
    const follow = () => {
      if (part.current) part.current.style.visibility = heldAhead(id) ? 'hidden' : '';
    };
    follow();
    return followHeld(follow);
  });
  return part;
}

import type { Body } from '@wainrope/core';
import { type RefObject, useLayoutEffect, useRef } from 'react';
import { followHeld, heldAhead } from '../draft/held-ahead.ts';
import { type CoveredSheet, shownAt, type View } from './layout/plan-sheet-layout.ts';

/** For what is drawn where a body is: while the pointer holds it, it is moved along with the pointer without being drawn anew. */
export function useAhead(body: Body, view: View, size: CoveredSheet): RefObject<SVGGElement | null> {
  const group = useRef<SVGGElement>(null);
  useLayoutEffect(() => {
    const follow = () => {
      const style = group.current?.style;
      if (!style) return;
      const held = heldAhead(body.id);
      style.willChange = held ? 'transform' : '';
      style.transform = held ? shifted(shownAt(body, view, size), shownAt({ ...body, xM: held.xM, yM: held.yM }, view, size)) : '';
    };
    follow();
    return followHeld(follow);
  }, [body, view, size]);
  return group;
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

interface OnScreen {
  readonly x: number;
  readonly y: number;
}

const shifted = (from: OnScreen, to: OnScreen): string => `translate(${to.x - from.x}px, ${to.y - from.y}px)`;

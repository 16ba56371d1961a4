import { cleanup, configure } from '@testing-library/react';
import { act } from 'react';
import { afterEach } from 'vitest';
import { takeDown } from './shown-page.ts';

// How fast a machine is decides nothing: what is waited for in vain for two minutes hangs.
configure({ asyncUtilTimeout: 120_000 });

// Files share their modules: what one shows is gone before the next begins.
afterEach(() => {
  if (typeof document === 'undefined') return;
  cleanup();
  act(takeDown);
  document.body.replaceChildren();
});

/** What browsers have and the page of a test has not: nothing there ever changes its size. */
class NothingResizes implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NothingResizes;

/** Nothing is asked of the screen that is so: it is wide, and on no paper. */
const nothing = () => undefined;
if (typeof window !== 'undefined')
  window.matchMedia ??= (media) => ({
    media,
    matches: false,
    onchange: null,
    addEventListener: nothing,
    removeEventListener: nothing,
    addListener: nothing,
    removeListener: nothing,
    dispatchEvent: () => false,
  });

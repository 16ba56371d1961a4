import type { Root } from 'react-dom/client';

let shown: Root | undefined;

/** Remembers the page that a test shows, which would go on listening to the store. */
export function remember(page: Root): void {
  shown = page;
}

/** Takes down the page that a test has shown, if there is one. */
export function takeDown(): void {
  shown?.unmount();
  shown = undefined;
}

/** What browsers have and the page of a test has not: nothing there ever changes its size. */
class NothingResizes implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NothingResizes;

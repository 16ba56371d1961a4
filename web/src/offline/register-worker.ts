const REGISTER_CACHE = 'wainrope-register';

/** Pages that open without a signal need a secure address; elsewhere there is none, and nothing else changes. */
export function registerServiceWorker(): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  window.addEventListener('load', () => {
    navigator.serviceWorker.register('/sw.js').catch((error: unknown) => console.warn('Pages will not open without a signal:', error));
  });
}

/** Answers that were on their way may arrive after the first clearing, milliseconds. */
const STRAGGLERS_MS = [0, 500, 2000];

/** What the device kept of the register goes with whoever signs out. */
export async function forgetRegister(): Promise<void> {
  if (!('caches' in window)) return;
  for (const afterMs of STRAGGLERS_MS) {
    await new Promise((done) => setTimeout(done, afterMs));
    await caches.delete(REGISTER_CACHE);
  }
}

/** Pages that open without a signal need a secure address; elsewhere there is no worker, and nothing else changes. */
export function registerServiceWorker(): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  // What an earlier version kept by the worker is kept by the page now.
  void caches.delete('wainrope-register');
  window.addEventListener('load', () => {
    navigator.serviceWorker.register('/sw.js').catch((error: unknown) => console.warn('Pages will not open without a signal:', error));
  });
}

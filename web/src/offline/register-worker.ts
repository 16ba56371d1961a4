/** Pages that open without a signal need a secure address; elsewhere there is no worker, and nothing else changes. */
export function registerServiceWorker(): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  window.addEventListener('load', () => {
    navigator.serviceWorker.register('/sw.js').catch((error: unknown) => console.warn('Pages will not open without a signal:', error));
  });
}

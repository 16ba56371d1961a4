import { patiently } from './patiently.ts';

const CACHE = 'wainrope-later';

/** Fetches what the first load leaves out, once the pages stand, through the worker that keeps it; without a worker nothing can be kept. */
export async function fetchLater(): Promise<boolean> {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return false;
  await navigator.serviceWorker.ready;
  await inCharge();
  await patiently(async () => {
    const files = (await (await answered('/later.json')).json()) as readonly string[];
    for (const file of files) if (!(await caches.match(file, { cacheName: CACHE }))) await (await answered(file)).blob();
  });
  return true;
}

async function answered(address: string): Promise<Response> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${address}: ${answer.status}`);
  return answer;
}

/** A worker that has just been installed takes the page over a moment later. */
const inCharge = () =>
  new Promise<void>((resolve) => {
    if (navigator.serviceWorker.controller) resolve();
    else navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true });
  });

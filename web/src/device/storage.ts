import { useEffect, useState } from 'react';

/** What this site may keep on the device and what it has kept, bytes. */
export interface Storage {
  readonly usedBytes: number;
  readonly mayBytes: number;
}

const LOOK_MS = 60_000;
const MB = 1_000_000;
/** Room for some forty photos: said before a day's work is in danger. */
const LOW_BYTES = 40 * MB;

/** How full the device's store is; nothing where the browser does not say. */
export async function storageNow(): Promise<Storage | undefined> {
  const { usage, quota } = (await navigator.storage?.estimate?.()) ?? {};
  return usage === undefined || quota === undefined ? undefined : { usedBytes: usage, mayBytes: quota };
}

/** Looks from time to time, and whenever a photo or an inspection was kept. */
export function useStorage(): Storage | undefined {
  const [storage, setStorage] = useState<Storage>();
  useEffect(() => {
    const look = () =>
      storageNow().then(setStorage, (error: unknown) => console.warn('The browser does not say how full the device is:', error));
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, []);
  return storage;
}

export const megabytes = (bytes: number): string => `${Math.round(bytes / MB).toLocaleString('en-GB')} MB`;

/** What is to be said of the room that is left; nothing while there is enough. */
export function storageWords(storage: Storage | undefined): string | undefined {
  if (!storage) return undefined;
  const left = Math.max(0, storage.mayBytes - storage.usedBytes);
  if (left >= LOW_BYTES) return undefined;
  return `This device has room for ${megabytes(left)} more: send what waits, and put finished rounds away.`;
}

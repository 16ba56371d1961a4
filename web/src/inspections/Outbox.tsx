import { useOutbox } from './use-outbox.ts';

/** Sends in the background what was confirmed on this device; the device's store loads with it, after the page. */
export function Outbox({ personId }: { readonly personId: string | undefined }) {
  useOutbox(personId);
  return null;
}

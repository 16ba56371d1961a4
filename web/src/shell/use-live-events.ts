import type { SubjectKind } from '@wainrope/contract';
import { useEffect } from 'react';
import { baseApi, tagTypes } from '../api/base-api.ts';
import { useAppDispatch } from '../store.ts';

type Tag = (typeof tagTypes)[number];

/** What has to be asked again when something of a kind has changed. */
const TAGS: { readonly [K in SubjectKind]: readonly Tag[] } = {
  gear: ['Gear', 'Plan', 'Kit'],
  inspection: ['Gear', 'Plan', 'Kit', 'Inspection', 'People'],
  defect: ['Inspection', 'Gear'],
  kit: ['Kit', 'Team', 'Gear'],
  outing: ['Outing', 'Kit', 'Gear', 'People'],
  plan: ['Plan'],
  person: ['People', 'Session', 'Team'],
  policy: ['Policy', 'Team', 'Gear', 'Plan', 'Kit'],
  template: ['Template', 'Inspection'],
  vehicle: ['Vehicle', 'Team', 'Plan'],
  'hook-up': ['Vehicle'],
  team: ['Team', 'Session'],
  account: ['Calendar'],
};

/** Between two tries where the server refuses the stream. */
const AGAIN_MS = 5000;

type LiveEvent = { readonly type: 'changed'; readonly kind: SubjectKind } | { readonly type: 'reset' } | { readonly type: 'beat' };

/** Follows what others change. After a dropped connection everything shown is asked again, since what happened meanwhile was not heard. */
export function useLiveEvents(signedIn: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!signedIn || typeof EventSource === 'undefined') return;
    let lost = false;
    let source: EventSource;
    let again: ReturnType<typeof setTimeout> | undefined;
    const all = () => dispatch(baseApi.util.invalidateTags([...tagTypes]));
    const open = () => {
      source = new EventSource('/api/v1/events');
      source.onopen = () => {
        if (lost) all();
        lost = false;
      };
      source.onerror = () => {
        lost = true;
        // A browser comes back by itself after a break, and never after a refusal.
        if (source.readyState !== EventSource.CLOSED) return;
        clearTimeout(again);
        again = setTimeout(open, AGAIN_MS);
      };
      source.onmessage = ({ data }) => {
        const event = JSON.parse(data) as LiveEvent;
        if (event.type === 'changed') dispatch(baseApi.util.invalidateTags([...TAGS[event.kind], 'Audit']));
        if (event.type === 'reset') all();
      };
    };
    open();
    return () => {
      clearTimeout(again);
      source.close();
    };
  }, [signedIn, dispatch]);
}

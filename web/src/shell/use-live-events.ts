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

type LiveEvent = { readonly type: 'changed'; readonly kind: SubjectKind } | { readonly type: 'reset' } | { readonly type: 'beat' };

/** Follows what others change. After a dropped connection everything shown is asked again, since what happened meanwhile was not heard. */
export function useLiveEvents(signedIn: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!signedIn || typeof EventSource === 'undefined') return;
    const source = new EventSource('/api/v1/events');
    let lost = false;
    const all = () => dispatch(baseApi.util.invalidateTags([...tagTypes]));
    source.onopen = () => {
      if (lost) all();
      lost = false;
    };
    source.onerror = () => {
      lost = true;
    };
    source.onmessage = ({ data }) => {
      const event = JSON.parse(data) as LiveEvent;
      if (event.type === 'changed') dispatch(baseApi.util.invalidateTags([...TAGS[event.kind], 'Audit']));
      if (event.type === 'reset') all();
    };
    return () => source.close();
  }, [signedIn, dispatch]);
}

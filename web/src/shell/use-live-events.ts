import type { SubjectKind } from '@wainrope/contract';
import { useEffect } from 'react';
import { baseApi, tagTypes } from '../api/base-api.ts';
import { changedElsewhere, unheard } from '../kept/connection-slice.ts';
import { isHeard } from '../kept/is-heard.ts';
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
  round: ['Round'],
  load: ['Load', 'Gear', 'Plan', 'Kit', 'Inspection'],
  incident: ['Incident', 'Gear', 'Plan', 'Kit', 'Inspection'],
  'break-test': ['BreakTest'],
  team: ['Team', 'Session'],
  account: ['Calendar'],
};

/** Between two tries where the server refuses the stream. */
const AGAIN_MS = 5000;
/** What comes within so short a time is asked for once. */
const TOGETHER_MS = 250;

type LiveEvent = { readonly type: 'changed'; readonly kind: SubjectKind } | { readonly type: 'reset' } | { readonly type: 'beat' };

/** Follows what others change. After a dropped connection everything shown is asked again, since what happened meanwhile was not heard. */
export function useLiveEvents(signedIn: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!signedIn || typeof EventSource === 'undefined') return;
    let lost = false;
    let source: EventSource;
    let again: ReturnType<typeof setTimeout> | undefined;
    const due = new Set<Tag>();
    let soon: ReturnType<typeof setTimeout> | undefined;
    const ask = (tags: readonly Tag[]) => {
      for (const tag of tags) due.add(tag);
      soon ??= setTimeout(() => {
        soon = undefined;
        dispatch(baseApi.util.invalidateTags([...due]));
        dispatch(changedElsewhere());
        due.clear();
      }, TOGETHER_MS);
    };
    const all = () => ask(tagTypes);
    const open = () => {
      source = new EventSource('/api/v1/events');
      source.onopen = () => {
        if (lost) all();
        lost = false;
      };
      source.onerror = () => {
        lost = true;
        void isHeard().then((there) => !there && dispatch(unheard()));
        // A browser comes back by itself after a break, and never after a refusal.
        if (source.readyState !== EventSource.CLOSED) return;
        clearTimeout(again);
        again = setTimeout(open, AGAIN_MS);
      };
      source.onmessage = ({ data }) => {
        const event = JSON.parse(data) as LiveEvent;
        if (event.type === 'changed') ask([...TAGS[event.kind], 'Audit']);
        if (event.type === 'reset') all();
      };
    };
    open();
    return () => {
      clearTimeout(again);
      clearTimeout(soon);
      source.close();
    };
  }, [signedIn, dispatch]);
}

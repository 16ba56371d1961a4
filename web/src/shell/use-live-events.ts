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

/** What was read since the page began may have changed before its stream stood. The server is asked to go back this much further, ms. */
const MARGIN_MS = 2000;
/** The furthest back that the server goes, ms. Whoever signs in later than that has read nothing before. */
const FURTHEST_MS = 60_000;

const STREAM = '/api/v1/events';
/** The first stream also tells what has changed since the page began. */
const firstStream = () => `${STREAM}?agoMs=${Math.min(Math.ceil(performance.now()) + MARGIN_MS, FURTHEST_MS)}`;

type LiveEvent =
  | { readonly type: 'changed'; readonly kind: SubjectKind }
  | { readonly type: 'reset' | 'missed' }
  | { readonly type: 'beat' };

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
    const open = (address: string) => {
      source = new EventSource(address);
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
        again = setTimeout(() => open(STREAM), AGAIN_MS);
      };
      source.onmessage = ({ data }) => {
        const event = JSON.parse(data) as LiveEvent;
        if (event.type === 'changed') ask([...TAGS[event.kind], 'Audit']);
        if (event.type === 'reset' || event.type === 'missed') all();
      };
    };
    open(firstStream());
    return () => {
      clearTimeout(again);
      clearTimeout(soon);
      source.close();
    };
  }, [signedIn, dispatch]);
}

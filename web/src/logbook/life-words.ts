import type { DiaryKind, IncidentKind, InspectionKind, LifeEvent, LifeKind } from '@wainrope/contract';
import { type ExposureKind, force, type GearState, keyWords, percent, type RichText, rich } from '@wainrope/core';
import { exposureWords, kindWords } from '../register/care-words.ts';
import { stateWords } from '../register/gear-words.ts';
import { diaryWords } from './diary-words.ts';
import { incidentWords } from './incidents/incident-words.ts';

/** What a kind of event is called where its events are chosen. */
export const lifeKindWords: { readonly [K in LifeKind]: string } = {
  inspection: 'Inspections',
  load: 'Loads',
  met: 'What it met',
  done: 'Drum and line',
  state: 'States',
  incident: 'Incidents',
  out: 'Who had it',
};

/** Each kind of event in a few words. */
const titles: { readonly [K in LifeKind]: (event: LifeEvent) => RichText } = {
  inspection: ({ what, grade }) => rich`${kindWords[what as InspectionKind] ?? what}${grade ? `: grade ${grade}` : ': passed'}`,
  load: ({ happenedN = 0, wllN = 0 }) =>
    wllN === 0
      ? rich`Loaded to ${force(happenedN)}, no limit known`
      : rich`Loaded to ${force(happenedN)}, ${percent(happenedN / wllN)} of ${force(wllN)}`,
  met: ({ what }) => rich`${exposureWords[what as ExposureKind | 'washed'] ?? what}`,
  done: ({ what, spoolState }) => rich`${diaryWords[what as DiaryKind] ?? what}${spoolState ? ` ${keyWords(spoolState)}` : ''}`,
  state: ({ what }) => rich`${stateWords[what as GearState] ?? what}`,
  incident: ({ what }) => rich`${incidentWords[what as IncidentKind] ?? what}`,
  out: ({ what, until }) => rich`With ${what}${until ? ` until ${until}` : ', not back yet'}`,
};

/** What happened, in a few words; figures in the reader's units. */
export const eventTitle = (event: LifeEvent): RichText => titles[event.kind](event);

/** Where an event leads to. */
export function eventPage({ kind, id }: LifeEvent): string | undefined {
  if (id === undefined) return undefined;
  const pages: { readonly [K in LifeKind]?: string } = {
    inspection: '/inspections/',
    load: '/series/',
    state: '/inspections/',
    incident: '/log/incidents/',
    out: '/outings/',
  };
  const page = pages[kind];
  return page && `${page}${id}`;
}

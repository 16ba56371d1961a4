import { type Case, formatFigure, type ReaderUnits, type ToldReport, write } from '@wainrope/core';
import type { CardInput } from '../plans/documents/field-card.ts';

/** What a field card of a case is made of, as saved and with everything that a team can have set. */
export const cardOf = (subject: Case, report: ToldReport, units: ReaderUnits = 'kN'): CardInput => ({
  name: subject.name,
  version: 1,
  changed: false,
  teamName: 'Harrowmoss Recovery',
  callIfHurt: 'Harrow valley rescue desk, radio channel 4',
  firstAiders: ['Tomas Aldbrook', 'Osric Fenn-Tarrow'],
  subject,
  report,
  gear: new Map(subject.gear.map((piece) => [piece.id, piece])),
  imperial: units === 'lbf',
  paceM: 0.75,
  figure: (figure) => formatFigure(figure, units),
  text: (text) => write(text, units),
});

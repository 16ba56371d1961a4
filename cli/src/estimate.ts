import {
  type Case,
  type CheaperAction,
  cheaperActions,
  type Effort,
  force,
  formatFigure,
  loadBody,
  methodWords,
  planPull,
  type ReaderUnits,
  slopeAlong,
  travelDirection,
} from '@wainrope/core';
import { type Answer, asJson, done, notUnderstood, type Options } from './answer.ts';
import { readFileText } from './read-subject.ts';

/** The pull that a rig file plans for: every method with its terms, what is planned, and what each action saves. */
export function estimate(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const subject = file.value.case;
  const { effort, pullN } = planPull(subject.rig, subject.policy);
  if (effort.kind !== 'estimated') {
    const message =
      effort.kind === 'slope-out-of-range'
        ? 'the slope along the pull is beyond 45°; no method holds there'
        : 'the ledge is as high as the wheel’s radius; no pull rolls the wheel over it';
    return notUnderstood([{ path: 'case.rig', message }], options.json, 'This situation');
  }
  const actions = actionsFor(subject);
  if (options.json) return done(asJson({ effort, pullN, actions }));
  return done(print(subject, { effort, pullN, actions }, options.units));
}

function actionsFor({ rig, policy }: Case): readonly CheaperAction[] {
  const load = loadBody(rig);
  if (load.kind !== 'vehicle' || rig.load.task !== undefined || rig.purpose === 'respool') return [];
  return cheaperActions({ ...load, slopeRad: slopeAlong(rig.ground, travelDirection(rig)), situation: rig.situation }, policy);
}

interface Estimated {
  readonly effort: Effort;
  readonly pullN: number | undefined;
  readonly actions: readonly CheaperAction[];
}

const PLANNED_BY: { readonly [K in Effort['plannedBy']]: string } = {
  'own-figure': 'the team’s own figure, from its measured pulls',
  mire: 'the multiple for its depth',
  'one-with-margin': 'the team’s method, with its margin',
  'greatest-with-margin': 'the greatest method, with margin',
  'holds-back': 'what holds it back, with the team’s margin on the most by which it runs',
  'runs-by-itself': 'it may run by itself: the largest is held, with margin',
  spooling: 'what a line is spooled under',
};

function print({ name, rig }: Case, { effort, pullN, actions }: Estimated, units: ReaderUnits): string {
  const figure = (value: number) => formatFigure(force(value), units);
  const methods = effort.methods.flatMap(({ id, pullN: pull, terms }) => [
    `${methodWords[id]}: ${figure(pull)}`,
    ...terms.map((term) => `    ${figure(term.pullN).padStart(10)}  ${term.label}${term.source ? ` (${term.source})` : ''}`),
  ]);
  const saved = actions.map(({ label, savesN }) => `    ${figure(savesN).padStart(10)}  ${label}`);
  return [
    name,
    ...methods,
    `Low ${figure(effort.lowN)}, median ${figure(effort.medianN)}, high ${figure(effort.highN)}`,
    `Planned ${figure(effort.plannedN)}: ${PLANNED_BY[effort.plannedBy]}`,
    ...(rig.chosenPull && pullN !== undefined
      ? [`Chosen instead by ${rig.chosenPull.person}: ${figure(pullN)} (${rig.chosenPull.reason})`]
      : []),
    ...(saved.length > 0 ? ['Before pulling, each of these saves:', ...saved] : []),
  ].join('\n');
}

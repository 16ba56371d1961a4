import { expect } from 'vitest';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { type Change, facts, layoutCase } from './changes.ts';

/** One limit of one rule: a knob that turns the figure, where its limit lies by hand, and the side on which the rule speaks. */
export interface Threshold {
  readonly code: string;
  readonly layout: string;
  /** What is done to the layout first. */
  readonly first?: Change;
  readonly knob: (value: number) => Change;
  /** The limit, worked by hand; `of` where it follows from a figure of the case. */
  readonly at: number | ((subject: Case) => number);
  readonly speaks: 'above' | 'below';
  /** What it does at the limit itself, which passes unless its row says otherwise; where the limit cannot be met to the last bit it rounds. */
  readonly atLimit?: 'speaks' | 'rounds';
  /** How far to either side the neighbours lie, as a share of the limit. */
  readonly step?: number;
  /** The thing that it speaks of, where others of the case may be spoken of too. */
  readonly of?: string;
}

/** Whether a rule has found something just below, at and just above its limit. */
type Answers = readonly [below: boolean, at: boolean, above: boolean];

/** A row with its limit as a number, and whether the rule has found something just below, at and just above it. */
export function threeTimes({ code, layout, first = (subject) => subject, knob, at, step = 1e-6, of }: Threshold): Answers {
  const base = first(layoutCase(layout));
  const limit = typeof at === 'number' ? at : at(base);
  const found = (value: number) =>
    judge(knob(value)(base)).findings.some(
      (entry) => entry.code === code && !entry.undecided && (of === undefined || entry.subject.id === of),
    );
  return [found(limit * (1 - step)), found(limit), found(limit * (1 + step))];
}

export const wanted = ({ speaks, atLimit }: Threshold): Answers => [
  speaks === 'below',
  atLimit === 'rounds' ? expect.any(Boolean) : atLimit === 'speaks',
  speaks === 'above',
];

/** A mark of an exact force, newtons. */
export const marked = (
  id: string,
  basis: 'wll' | 'mbs' | 'rated-pull',
  forceN: number,
  other: readonly { basis: string; forceN: number }[] = [],
): Change =>
  facts(id, {
    marks: [{ basis, forceN }, ...other].map((entry) => ({
      basis: entry.basis,
      asWritten: `${entry.forceN} N`,
      source: 'stamped',
      settingDecided: false,
      readings: [{ unit: 'N', forceN: entry.forceN }],
    })),
  });

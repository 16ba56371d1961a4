import type { Moment } from '../../moment/moment.ts';
import type { Margins } from '../../pull/margins.ts';
import type { RichText } from '../../quantity/format.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { Edit } from '../../rig/edits.ts';
import type { FactId } from '../../rig/facts.ts';
import type { Judged } from './judged.ts';

export const severities = ['stop', 'fix', 'caution', 'note'] as const;
export type Severity = (typeof severities)[number];

/** What a finding is about, by stable id. */
export interface Subject {
  readonly kind: 'use' | 'body' | 'point' | 'strand' | 'rig';
  readonly id: string;
}

/** What a person can do about it with one button. */
export type Fix =
  | { readonly kind: 'edits'; readonly label: string; readonly edits: readonly Edit[] }
  /** Choose another piece for this place; the picker knows the register. */
  | { readonly kind: 'choose-piece'; readonly label: string; readonly useId: string }
  | { readonly kind: 'add-damper'; readonly label: string; readonly lineId: string; readonly strand: number }
  /** Fill in what is missing on the piece's own page. */
  | { readonly kind: 'open-piece'; readonly label: string; readonly gearId: string };

/** Plain data that a report carries and words are made from. */
export type Data = { readonly [key: string]: string | number | boolean | undefined | readonly string[] | readonly Data[] };

/** Which thing a rule speaks of, and where on it, where it may speak of several places of one thing. */
export interface About {
  readonly subject: Subject;
  readonly place?: string | undefined;
}

/** What a rule answers about one subject; nothing where the fault is not there. */
export type Reply<D extends Data> =
  /** `subject` where it shows only with the answer. */
  | { readonly kind: 'found'; readonly data: D; readonly fixes?: readonly Fix[]; readonly subject?: Subject }
  | {
      readonly kind: 'undecided';
      readonly data: D;
      /** Set when a yes or no settles it; stored in the rig's answers under this id. */
      readonly questionId?: string;
      readonly fixes?: readonly Fix[];
    };

export interface RuleHead {
  readonly code: string;
  readonly severity: Severity;
  /** Whether a team may lower its severity by policy. */
  readonly softenable: boolean;
  /** One plain sentence of why. */
  readonly why: string;
  /** The facts it reads. */
  readonly needs: readonly FactId[];
  /** What it asks when it cannot decide; missing where it always can. */
  readonly asks?: string;
  /** Codes of graver rules of the same matter: where one of them found the same thing, this one says nothing. */
  readonly unless?: readonly string[];
}

/** A finding's words, made from its data when shown. */
interface Spoken<D extends Data> {
  readonly title: (data: D) => RichText;
  readonly detail: (data: D) => RichText;
  /** What somebody has to say or look up, as one sentence. */
  readonly question?: (data: D) => RichText;
}

/** Of the rig as put together: asked once. */
export interface RigRule<S, D extends Data> extends RuleHead, Spoken<D> {
  readonly subjects: (rig: ResolvedRig) => readonly S[];
  readonly about: (subject: S) => About;
  readonly answer: (rig: ResolvedRig, subject: S) => Reply<D> | undefined;
}

/** Of place, length or load: a number at every step, told once, at its worst. */
export interface MomentRule<S, D extends Data> extends RuleHead, Spoken<D> {
  readonly subjects: (rig: ResolvedRig) => readonly S[];
  readonly about: (subject: S) => About;
  /**
   * Above 0 in order, 0 just so, below 0 found; undefined where a fact is missing. NaN where there is nothing to compare, such as no
   * load or no limit, of which other rules speak. No words, no objects.
   */
  readonly margin: (moment: Moment, subject: S) => number | undefined;
  readonly answer: (moment: Moment, subject: S) => Reply<D> | undefined;
}

/** Of the whole act, and of what happens if a line parts: asked once. */
export interface ActRule<S, D extends Data> extends RuleHead, Spoken<D> {
  readonly subjects: (rig: ResolvedRig) => readonly S[];
  readonly about: (subject: S) => About;
  readonly answer: (judged: Judged, subject: S) => Reply<D> | undefined;
}

/** A reply with what it is about. */
export interface Told extends About {
  readonly kind: 'found' | 'undecided';
  readonly place: string | undefined;
  readonly data: Data;
  readonly questionId: string | undefined;
  readonly fixes: readonly Fix[];
  /** Metres of travel from which it is so, and where it is worst; rules of the moment only. */
  readonly fromM?: number | undefined;
  readonly atM?: number | undefined;
}

const NO_FIXES: readonly Fix[] = [];

function toldOf(about: About, reply: Reply<Data>): Told {
  return {
    kind: reply.kind,
    subject: reply.kind === 'found' ? (reply.subject ?? about.subject) : about.subject,
    place: about.place,
    data: reply.data,
    questionId: reply.kind === 'undecided' ? reply.questionId : undefined,
    fixes: reply.fixes ?? NO_FIXES,
  };
}

/** A rule as lists of rules hold it, whatever its subjects and data. */
export interface Rule extends RuleHead {
  readonly over: 'rig' | 'moment' | 'act';
  /** Adds what it finds or leaves open to what others told. */
  readonly ask: (judged: Judged, told: Told[]) => void;
  /** Moment rules only: prepared once for a rig. */
  readonly margins?: (rig: ResolvedRig) => Margins;
  readonly title: (data: Data) => RichText;
  readonly detail: (data: Data) => RichText;
  readonly question: (data: Data) => RichText;
}

/** Data comes back to the rule that made it, from a report that this version of core wrote: it is what that rule wrote. */
function spoken<D extends Data>({ title, detail, question }: Spoken<D>): Pick<Rule, 'title' | 'detail' | 'question'> {
  return {
    title: (data) => title(data as D),
    detail: (data) => detail(data as D),
    question: (data) => (question ?? title)(data as D),
  };
}

const head = ({ code, severity, softenable, why, needs, asks, unless }: RuleHead): RuleHead => ({
  code,
  severity,
  softenable,
  why,
  needs,
  ...(asks !== undefined && { asks }),
  ...(unless !== undefined && { unless }),
});

/** Adds what a rule answers about one subject to what was told before. */
function tell<S>(
  told: Told[],
  about: (subject: S) => About,
  subject: S,
  answer: Reply<Data> | undefined,
  when?: Pick<Told, 'fromM' | 'atM'>,
): void {
  if (answer !== undefined) told.push({ ...toldOf(about(subject), answer), ...when });
}

export function rigRule<S, D extends Data>(row: RigRule<S, D>): Rule {
  const { subjects, about, answer } = row;
  return {
    ...head(row),
    ...spoken(row),
    over: 'rig',
    ask: ({ rig }, told) => {
      for (const subject of subjects(rig)) tell(told, about, subject, answer(rig, subject));
    },
  };
}

export function actRule<S, D extends Data>(row: ActRule<S, D>): Rule {
  const { subjects, about, answer } = row;
  return {
    ...head(row),
    ...spoken(row),
    over: 'act',
    ask: (judged, told) => {
      for (const subject of subjects(judged.rig)) tell(told, about, subject, answer(judged, subject));
    },
  };
}

export function momentRule<S, D extends Data>(row: MomentRule<S, D>): Rule {
  const { subjects, about, margin, answer } = row;
  return {
    ...head(row),
    ...spoken(row),
    over: 'moment',
    ask: (judged, told) => {
      const tracks = judged.tracksOf(row.code);
      subjects(judged.rig).forEach((subject, index) => {
        const track = tracks[index];
        if (track?.fromM !== undefined && track.moment !== undefined)
          tell(told, about, subject, answer(track.moment, subject), { fromM: track.fromM, atM: track.moment.travelM });
        else if (track?.unknown !== undefined) tell(told, about, subject, answer(track.unknown, subject));
      });
    },
    margins: (rig) => {
      const all = subjects(rig);
      return { count: all.length, at: (moment, index) => margin(moment, all[index] as S) };
    },
  };
}

import type { Moment } from '../../moment/moment.ts';
import type { Margins, Track } from '../../pull/margins.ts';
import type { RichText } from '../../quantity/format.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { FactId } from '../../rig/facts.ts';
import type { Judged } from './judged.ts';
import type { About, Data, Fix, Reply, Severity, Told } from './told.ts';

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

/** The margins of a rule of the moment, and what it tells once an act was run with them. */
export interface RuleMargins extends Margins {
  readonly tell: (tracks: readonly Track[], told: Told[]) => void;
}

/** A rule as lists of rules hold it, whatever its subjects and data. */
export interface Rule extends RuleHead {
  readonly over: 'rig' | 'moment' | 'act';
  /** Adds what it finds or leaves open to what others told. */
  readonly ask: (judged: Judged, told: Told[]) => void;
  /** Moment rules only: what is asked at every step, prepared once for a rig. */
  readonly margins?: (rig: ResolvedRig) => RuleMargins;
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
    ask: ({ askedOf, tracksOf }, told) => askedOf(row.code)?.tell(tracksOf(row.code), told),
    margins: (rig) => {
      const all = subjects(rig);
      return {
        count: all.length,
        at: (moment, index) => margin(moment, all[index] as S),
        tell: (tracks, told) =>
          tracks.forEach(({ fromM, moment, unknown }, index) => {
            const subject = all[index] as S;
            if (fromM !== undefined && moment !== undefined)
              tell(told, about, subject, answer(moment, subject), { fromM, atM: moment.travelM });
            else if (unknown !== undefined) tell(told, about, subject, answer(unknown, subject));
          }),
      };
    },
  };
}

import {
  type Case,
  carriedIn,
  count,
  energy,
  type Figure,
  force,
  length,
  mass,
  momentum,
  type RichText,
  type Rig,
  reasonOf,
  type ToldReport,
  type Verdict,
} from '@wainrope/core';
import { verdictWords } from '../../shell/VerdictMark.tsx';
import { howWeak } from '../how-weak.ts';

/** A rig with how it was judged. */
export interface Compared {
  readonly subject: Case;
  readonly report: ToldReport;
}

export interface CompareRow {
  readonly label: string;
  readonly before: string;
  readonly now: string;
  /** Which of them is the better, where one is. */
  readonly better?: 'before' | 'now' | undefined;
}

interface Words {
  readonly figure: (figure: Figure) => string;
  readonly text: (text: RichText) => string;
}

const VERDICTS: readonly Verdict[] = ['clear', 'clear-judged', 'watch', 'stop'];
const NOT_KNOWN = 'not known';

/** What two rigs come to, row by row; the better of the two is told only where both are known. */
export function compareRows(before: Compared, now: Compared, { figure, text }: Words): readonly CompareRow[] {
  /** A row of a figure of which less, or more, is better. */
  const measured = (
    label: string,
    of: (compared: Compared) => number | undefined,
    as: (value: number) => Figure,
    wanted: 'less' | 'more' | 'neither',
    after = '',
  ): CompareRow => {
    const [was, is] = [of(before), of(now)];
    const words = (value: number | undefined) => (value === undefined ? NOT_KNOWN : `${figure(as(value))}${after}`);
    return { label, before: words(was), now: words(is), better: betterOf(was, is, wanted) };
  };
  const said = (label: string, of: (compared: Compared) => string): CompareRow => ({ label, before: of(before), now: of(now) });
  const rank = ({ report }: Compared) => VERDICTS.indexOf(report.verdict);
  return [
    { ...said('Verdict', ({ report }) => verdictWords[report.verdict]), better: betterOf(rank(before), rank(now), 'less') },
    said('Because', ({ report }) => {
      const reason = reasonOf(report.findings);
      return reason ? text(reason.title) : 'nothing is found';
    }),
    said('Weakest', ({ report }) => {
      const weakest = report.places.find(({ id }) => id === report.weakestPlaceId);
      return weakest ? `${weakest.tag ?? weakest.name}, ${howWeak(weakest, figure)}` : NOT_KNOWN;
    }),
    measured('Line-pull limit', ({ report }) => report.linePullLimit?.pullN, force, 'more'),
    measured('The load comes', ({ report }) => (report.startOnly === undefined ? report.pull.reachedM : undefined), length, 'neither'),
    measured('Minutes, a guess', minutesOf, count, 'less', ' min'),
    measured('People at the rope', ({ report }) => largest(report.pull.hands.map(({ neededPeople }) => neededPeople)), count, 'less'),
    measured('People on the plan', ({ subject: { rig } }) => peopleOn(rig), count, 'neither'),
    weightRow(before, now, figure),
    measured('Energy in a line, at most', ({ report }) => largest(report.breaks.map(({ energyJ }) => energyJ)), energy, 'less'),
    measured(
      'Hardest that flies, at most',
      ({ report }) => largest(report.breaks.flatMap(({ flights }) => flights.map(({ momentumNs }) => momentumNs))),
      momentum,
      'less',
    ),
    measured('Stops and fixes', ({ report }) => report.findings.filter(isGrave).length, count, 'less'),
  ].filter(({ before: was, now: is, label }) => label !== 'People at the rope' || was !== NOT_KNOWN || is !== NOT_KNOWN);
}

const isGrave = ({ severity, undecided }: ToldReport['findings'][number]): boolean =>
  !undecided && (severity === 'stop' || severity === 'fix');

function betterOf(before: number | undefined, now: number | undefined, wanted: 'less' | 'more' | 'neither'): CompareRow['better'] {
  if (before === undefined || now === undefined || before === now || wanted === 'neither') return undefined;
  return now < before === (wanted === 'less') ? 'now' : 'before';
}

/** The largest of some figures; undefined where one of them is not known, or there is none. */
function largest(values: readonly (number | undefined)[]): number | undefined {
  const known = values.filter((value) => value !== undefined);
  return known.length === 0 || known.length < values.length ? undefined : Math.max(...known);
}

/** Everybody who is placed, a crew by its number. */
const peopleOn = ({ bodies }: Rig): number =>
  bodies.reduce((sum, body) => sum + (body.kind === 'crew' ? body.people : body.kind === 'person' ? 1 : 0), 0);

function minutesOf({ report: { pull } }: Compared): number | undefined {
  return pull.haulMin === undefined ? undefined : Math.round(pull.riggingMin + pull.haulMin);
}

/** What has to be carried there, and how much of it has no weight on record. */
function carried({ subject }: Compared): { readonly kg: number; readonly unweighed: number } {
  const weights = carriedIn(subject).map(({ massKg }) => massKg);
  return { kg: weights.reduce<number>((sum, kg) => sum + (kg ?? 0), 0), unweighed: weights.filter((kg) => kg === undefined).length };
}

function weightRow(before: Compared, now: Compared, figure: Words['figure']): CompareRow {
  const [was, is] = [carried(before), carried(now)];
  const words = ({ kg, unweighed }: ReturnType<typeof carried>) =>
    `${figure(mass(kg))}${unweighed === 0 ? '' : `, ${unweighed} not weighed`}`;
  const isSure = was.unweighed === 0 && is.unweighed === 0;
  return { label: 'Gear to carry', before: words(was), now: words(is), better: isSure ? betterOf(was.kg, is.kg, 'less') : undefined };
}

import { formatFigure, type ReaderUnits, type Rule, rules, type Term } from '@wainrope/core';
import { figuresOf, judgedCase } from '@wainrope/core/judging';
import { type Answer, asJson, done, notUnderstood, type Options, refused } from './answer.ts';
import { readFileText } from './read-subject.ts';

/** A rule by its code: why it is there, how grave, what it reads, what it asks. */
export function explainRule(code: string, { json }: Options): Answer {
  const rule = rules.find((entry) => entry.code === code);
  if (!rule) {
    const near = rules.filter((entry) => entry.code.includes(code) || code.includes(entry.code)).map((entry) => entry.code);
    const hint = near.length > 0 ? ` Near it: ${near.join(', ')}.` : ' The codes stand in square brackets behind every finding.';
    return refused(`No rule has the code “${code}”.${hint}`, { json });
  }
  if (json) return done(asJson(headOf(rule)));
  const lines = [
    `${rule.code}: ${rule.severity}${rule.softenable ? ', a team may soften it' : ', no team may soften it'}`,
    rule.why,
    `Reads: ${rule.needs}.`,
    ...(rule.asks === undefined ? [] : [`Asks, when it cannot decide: ${rule.asks}`]),
  ];
  return done(lines.join('\n'));
}

function headOf({ code, severity, softenable, why, needs, asks }: Rule) {
  return { code, severity, softenable, why, needs, ...(asks !== undefined && { asks }) };
}

/** A figure of a rig file's report; without one, the list of all figures. */
export function explainFigureOf(text: string, path: string | undefined, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const figures = figuresOf(judgedCase(file.value.case));
  if (path === undefined) return list(figures, options);
  const found = figures.find((entry) => entry.path === path);
  if (!found) {
    const near = figures.filter((entry) => entry.path.includes(path)).map((entry) => entry.path);
    const hint =
      near.length > 0
        ? ` Near it:\n${near
            .slice(0, 12)
            .map((entry) => `  ${entry}`)
            .join('\n')}`
        : ' Leave it out for the list of all figures.';
    return refused(`This report has no figure “${path}”.${hint}`, options);
  }
  const term = found.explain();
  return done(options.json ? asJson(term) : printTerm(term, options.units));
}

function list(figures: ReturnType<typeof figuresOf>, { json, units }: Options): Answer {
  if (json) return done(asJson(figures.map(({ path, label, figure }) => ({ path, label, figure }))));
  const width = Math.max(...figures.map(({ path }) => path.length));
  return done(
    figures.map(({ path, label, figure }) => `${path.padEnd(width)}  ${formatFigure(figure, units).padStart(12)}  ${label}`).join('\n'),
  );
}

const SIGNS: { readonly [K in NonNullable<Term['how']>['operation']]: string } = {
  product: 'all multiplied',
  quotient: 'the first divided by the others',
  sum: 'all added',
  difference: 'the first less the others',
  least: 'the least of these',
  greatest: 'the greatest of these',
  same: 'this',
  size: 'its size',
  power: 'the first to the power of the second',
  root: 'the square root of this',
  'vector-sum': 'added as vectors',
};

/** A term with all it follows from, indented. */
export function printTerm(term: Term, units: ReaderUnits, depth = 0): string {
  const notes = [term.reason, term.source].filter((note) => note !== undefined && note !== '').join('; ');
  const how = term.how ? `  = ${SIGNS[term.how.operation]}` : '';
  const line = `${'  '.repeat(depth)}${term.label}  ${formatFigure(term.figure, units)}${notes ? ` (${notes})` : ''}${how}`;
  return [line, ...(term.how?.of ?? []).map((part) => printTerm(part, units, depth + 1))].join('\n');
}

import { existsSync, readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { ReaderUnits } from '@wainrope/core';
import { type Answer, NOT_UNDERSTOOD, type Options } from './answer.ts';
import { check } from './check.ts';
import { estimate } from './estimate.ts';
import { explainFigureOf, explainRule } from './explain.ts';
import { convert, validate } from './files.ts';
import { listPresets, presetCalled, showPolicy } from './policy.ts';
import { shock, simulate } from './simulate.ts';

export const HELP = `wainrope: checks planned rigs

  wainrope check FILE...          judge rig files over their whole act
  wainrope simulate FILE...       run the pull: what happens at which metre, the worst of every piece
  wainrope shock FILE...          a pull with a run-up: its attempts, what each comes to
  wainrope estimate FILE...       the pull needed, by every school, and what saves some of it
  wainrope explain RULE           why a rule is there, what it reads and asks
  wainrope explain FILE [FIGURE]  how a figure was worked out; without one, all figures
  wainrope validate FILE...       whether rig files are understood
  wainrope convert FILE           the same file in the present version
  wainrope policy [NAME | FILE]   the presets; what one, or a file, changes

  FILE "-" reads standard input.

  --json                  for a program
  --csv                   simulate and shock: rows for a spreadsheet
  --policy FILE|NAME      another policy than the file's own
  --as-of YYYY-MM-DD      judge as of another day
  --units kN|t|lbf        unit of forces (kN)
  -h, --help              this text

Exit code: 0 clear, 1 watch, 2 stop, 3 not understood; the greatest, for several files.
`;

const UNITS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];
const FLAGS = {
  json: { type: 'boolean' },
  csv: { type: 'boolean' },
  'as-of': { type: 'string' },
  policy: { type: 'string' },
  units: { type: 'string' },
  help: { type: 'boolean', short: 'h' },
} as const;

export function run(args: readonly string[]): Answer {
  try {
    return runParsed(args);
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error));
  }
}

function runParsed(args: readonly string[]): Answer {
  const { values, positionals } = parseArgs({ args: [...args], options: FLAGS, allowPositionals: true });
  const [command, ...rest] = positionals;
  if (values.help || command === undefined) return { out: HELP, error: '', code: values.help ? 0 : NOT_UNDERSTOOD };
  const units = UNITS.find((unit) => unit === (values.units ?? 'kN'));
  if (units === undefined) return refuse(`“${values.units}” is not a unit known here; expected ${UNITS.join(', ')}.`);
  const options: Options = {
    json: values.json === true,
    csv: values.csv === true,
    units,
    ...(values['as-of'] !== undefined && { asOf: values['as-of'] }),
    ...(values.policy !== undefined && { policyText: policyText(values.policy) }),
  };
  if (options.csv && (options.json || (command !== 'simulate' && command !== 'shock')))
    return refuse('--csv goes with simulate and shock, and not with --json.');
  return commandOf(command, rest, options);
}

function commandOf(command: string, rest: readonly string[], options: Options): Answer {
  switch (command) {
    case 'check':
      return eachFile(rest, (text) => check(text, options), command);
    case 'simulate':
      return eachFile(rest, (text) => simulate(text, options), command);
    case 'shock':
      return eachFile(rest, (text) => shock(text, options), command);
    case 'estimate':
      return eachFile(rest, (text) => estimate(text, options), command);
    case 'validate':
      return eachFile(rest, (text) => validate(text, options), command);
    case 'convert':
      return rest.length > 1 ? refuse('convert takes one file.') : eachFile(rest, (text) => convert(text, options), command);
    case 'explain':
      return explain(rest, options);
    case 'policy':
      return policy(rest, options);
    default:
      return refuse(`“${command}” is not a command known here.`);
  }
}

const textOf = (file: string): string => readFileSync(file === '-' ? 0 : file, 'utf8');

/** A preset by name, else a file. */
function policyText(source: string): string {
  const preset = presetCalled(source);
  return preset ? JSON.stringify(preset) : textOf(source);
}

function eachFile(files: readonly string[], read: (text: string) => Answer, command: string): Answer {
  if (files.length === 0) return refuse(`${command} needs a file; "-" reads standard input.`);
  const answers = files.map((file) => read(textOf(file)));
  const named = answers.map(({ error }, index) => (error && files.length > 1 ? `${files[index]}: ${error}` : error));
  return {
    out: answers
      .map(({ out }) => out)
      .filter(Boolean)
      .join('\n'),
    error: named.join(''),
    code: Math.max(...answers.map(({ code }) => code)),
  };
}

function explain([first, figure, ...more]: readonly string[], options: Options): Answer {
  if (first === undefined || more.length > 0) return refuse('explain takes a rule, or a file and a figure.');
  if (first !== '-' && !existsSync(first)) {
    return figure === undefined ? explainRule(first, options) : refuse(`There is no file “${first}”.`);
  }
  return explainFigureOf(textOf(first), figure, options);
}

function policy([first, ...more]: readonly string[], options: Options): Answer {
  if (more.length > 0) return refuse('policy takes one name or file.');
  if (first === undefined) return listPresets(options);
  const preset = presetCalled(first);
  return showPolicy(preset ? { preset } : { text: textOf(first) }, options);
}

function refuse(message: string): Answer {
  return { out: '', error: `${message}\n\n${HELP}`, code: NOT_UNDERSTOOD };
}

import { parseArgs } from 'node:util';
import type { ReaderUnits } from '@wainrope/core';
import { type Answer, asJson, done, NOT_UNDERSTOOD, type Options, refused } from './answer.ts';
import { type CommandName, commands, HELP, helpOf, isCommand } from './commands.ts';
import { explainFigureOf, explainRule } from './explain.ts';
import { listPresets, presetCalled, showPolicy } from './policy.ts';
import { type Sources, textOf } from './read-files.ts';

const UNITS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];
const FLAGS = {
  json: { type: 'boolean' },
  csv: { type: 'boolean' },
  'as-of': { type: 'string' },
  policy: { type: 'string' },
  units: { type: 'string' },
  help: { type: 'boolean', short: 'h' },
} as const;

/** Whether any of the words is the one that stands for standard input. */
export const readsStdin = (args: readonly string[]): boolean => args.includes('-');

/** What was asked in a way that is not known here, said with the help that it lacks. */
class NotKnown extends Error {}

export function run(args: readonly string[], sources: Sources = {}): Answer {
  try {
    return runParsed(args, sources);
  } catch (error) {
    if (!(error instanceof NotKnown)) throw error;
    const help = error.message.endsWith('\n') ? '' : `\n\n${HELP}`;
    return refused(`${error.message}${help}`, { json: args.includes('--json'), message: error.message.trim() });
  }
}

function parsed(args: readonly string[]) {
  try {
    return parseArgs({ args: [...args], options: FLAGS, allowPositionals: true });
  } catch (error) {
    throw new NotKnown(error instanceof Error ? error.message : String(error));
  }
}

function runParsed(args: readonly string[], sources: Sources): Answer {
  const { values, positionals } = parsed(args);
  const [command, ...rest] = positionals;
  if (command === undefined) return values.help ? done(HELP) : notKnown('Say what is to be done.');
  if (command === 'help') return help(rest[0]);
  if (!isCommand(command)) return notKnown(`“${command}” is not a command.`);
  if (values.help) return help(command);
  const units = UNITS.find((unit) => unit === (values.units ?? 'kN'));
  if (units === undefined) return notKnown(`“${values.units}” is not a unit this program knows; expected ${UNITS.join(', ')}.`);
  const options: Options = {
    json: values.json === true,
    csv: values.csv === true,
    units,
    ...(values['as-of'] !== undefined && { asOf: values['as-of'] }),
    ...(values.policy !== undefined && { policyText: policyText(values.policy, sources) }),
  };
  return commandOf(command, rest, { options, sources });
}

const help = (command: string | undefined): Answer => {
  if (command === undefined) return done(HELP);
  return isCommand(command) ? done(helpOf(command)) : notKnown(`“${command}” is not a command.`);
};

interface Asked {
  readonly options: Options;
  readonly sources: Sources;
}

function commandOf(name: CommandName, rest: readonly string[], asked: Asked): Answer {
  const command = commands[name];
  const { json, csv } = asked.options;
  if (csv && (json || !('csv' in command))) return notKnown('--csv goes with simulate and shock, and not with --json.');
  if (name === 'explain') return explain(rest, asked);
  if (name === 'policy') return policy(rest, asked);
  return files(name, rest, asked);
}

type FileCommandName = Exclude<CommandName, 'explain' | 'policy'>;

/** One file answers as it is. Of several each answers for itself, one that cannot be read too; for a program they are one document. */
function files(name: FileCommandName, named: readonly string[], { options, sources }: Asked): Answer {
  const { takes, answer } = commands[name];
  if (named.length === 0) return notKnown(`${name} needs a file; "-" reads standard input.`);
  if (takes === 'one-file' && named.length > 1) return notKnown(`${name} takes one file.`);
  if (options.csv && named.length > 1) return notKnown('--csv takes one file.');
  const answers = named.map((file) => {
    const read = textOf(file, sources);
    return 'text' in read ? answer(read.text, options) : refused(read.message, { json: options.json });
  });
  const [only] = answers;
  if (only !== undefined && answers.length === 1) return only;
  const code = Math.max(...answers.map((each) => each.code));
  if (options.json) {
    const each = answers.map(({ out, code: own }, index) => ({ file: named[index], code: own, answer: JSON.parse(out) as unknown }));
    return done(asJson({ kind: 'files', code, files: each }), code);
  }
  return {
    out: answers
      .map(({ out }) => out)
      .filter(Boolean)
      .join('\n'),
    error: answers.map(({ error }, index) => (error ? `${named[index]}: ${error}` : '')).join(''),
    code,
  };
}

/** A preset by name, else a file. */
function policyText(source: string, sources: Sources): string {
  const preset = presetCalled(source);
  if (preset) return JSON.stringify(preset);
  const read = textOf(source, sources);
  if ('message' in read) throw new NotKnown(`--policy: ${read.message}\n`);
  return read.text;
}

/** A word that names a rule, and no file, is a rule. */
function explain([first, figure, ...more]: readonly string[], { options, sources }: Asked): Answer {
  if (first === undefined || more.length > 0) return notKnown('explain takes a rule, or a file and a figure.');
  const read = textOf(first, sources);
  if ('text' in read) return explainFigureOf(read.text, figure, options);
  const isFile = figure !== undefined || first === '-' || /[./\\]/.test(first);
  return isFile ? refused(read.message, options) : explainRule(first, options);
}

function policy([first, ...more]: readonly string[], { options, sources }: Asked): Answer {
  if (more.length > 0) return notKnown('policy takes one name or file.');
  if (first === undefined) return listPresets(options);
  const preset = presetCalled(first);
  if (preset) return showPolicy({ preset }, options);
  const read = textOf(first, sources);
  return 'text' in read
    ? showPolicy(read, options)
    : refused(`${read.message} No preset has that name either: see “wainrope policy”.`, options);
}

function notKnown(message: string): never {
  throw new NotKnown(message);
}

/** The code of a run that this package's own fault has ended. */
export const OWN_FAULT = NOT_UNDERSTOOD + 1;

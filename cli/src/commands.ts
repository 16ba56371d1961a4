import type { Answer, Options } from './answer.ts';
import { check } from './check.ts';
import { estimate } from './estimate.ts';
import { convert, validate } from './files.ts';
import { shock, simulate } from './simulate.ts';

/** A command that is asked of rig files, one after the other. */
interface FileCommand {
  readonly takes: 'files' | 'one-file';
  readonly usage: string;
  /** A line for the list of commands. */
  readonly does: string;
  readonly help: string;
  readonly csv?: boolean;
  readonly answer: (text: string, options: Options) => Answer;
}

/** A command that reads its words itself. */
interface OwnCommand {
  readonly takes: 'words';
  readonly usage: readonly (readonly [usage: string, does: string])[];
  readonly help: string;
}

export const commands = {
  check: {
    takes: 'files',
    usage: 'check FILE...',
    does: 'judge rig files over their whole act',
    help: `Says the verdict, the weakest piece, what each piece carries against what it may carry, and every finding with its
code. The file's own day and settings count, unless --as-of or --policy names others.`,
    answer: check,
  },
  simulate: {
    takes: 'files',
    usage: 'simulate FILE...',
    does: 'run the pull: what happens at which metre, the worst of every piece',
    help: `From first tension to the last metre, or to what ends the pull early. --csv gives one row a moment, units in the headings.`,
    csv: true,
    answer: simulate,
  },
  shock: {
    takes: 'files',
    usage: 'shock FILE...',
    does: 'a pull with a run-up: its attempts, what each comes to',
    help: `For a stretch rope or strap between two vehicles. A rig without a run-up is refused. --csv gives the history of every
attempt, as planned and at the greatest check.`,
    csv: true,
    answer: shock,
  },
  estimate: {
    takes: 'files',
    usage: 'estimate FILE...',
    does: 'the pull needed, by every school, and what saves some of it',
    help: `Each method with its terms, what is planned, and by how much digging, boards and the like lower it.`,
    answer: estimate,
  },
  explain: {
    takes: 'words',
    usage: [
      ['explain RULE', 'why a rule is there, what it reads and asks'],
      ['explain FILE [FIGURE]', 'how a figure was worked out; without one, all figures'],
    ],
    help: `The codes of rules stand in square brackets behind every finding of check. FIGURE is a path from the list of figures.`,
  },
  validate: {
    takes: 'files',
    usage: 'validate FILE...',
    does: 'whether rig files are understood',
    help: `Judges nothing: says the version, the name and how much the file holds, or every fault by its path.`,
    answer: validate,
  },
  convert: {
    takes: 'one-file',
    usage: 'convert FILE',
    does: 'the same file in the present version',
    help: `Written to standard output, with the day and settings that --as-of and --policy name.`,
    answer: convert,
  },
  policy: {
    takes: 'words',
    usage: [['policy [NAME | FILE]', 'the presets; what one, or a file, changes']],
    help: `Without a name, the presets a team may begin from. With --json, the whole of the one that is named.`,
  },
} as const satisfies { readonly [name: string]: FileCommand | OwnCommand };

export type CommandName = keyof typeof commands;
export const isCommand = (name: string): name is CommandName => Object.hasOwn(commands, name);

const OPTIONS = `Options:
  --json                  one document for a program, refusals too
  --csv                   simulate and shock: rows for a spreadsheet, of one file
  --policy FILE|NAME      another policy than the file's own
  --as-of YYYY-MM-DD      judge as of another day
  --units kN|t|lbf        unit of forces (kN)
  -h, --help              this text; after a command, that command's
`;

const CODES = `Exit code:
  0  clear, or nothing to judge
  1  watch
  2  stop
  3  not understood: a file, an option, or what was asked
  4  Wainrope itself failed
  For several files it is the greatest.
`;

function usageOf(name: CommandName): readonly (readonly [usage: string, does: string])[] {
  const command: FileCommand | OwnCommand = commands[name];
  return command.takes === 'words' ? command.usage : [[command.usage, command.does]];
}
const list = (name: CommandName): string[] => usageOf(name).map(([usage, does]) => `  wainrope ${usage.padEnd(22)} ${does}`);

export const HELP = `wainrope: checks planned rigs

${(Object.keys(commands) as CommandName[]).flatMap(list).join('\n')}
  wainrope help COMMAND           more on one of them

FILE "-" reads standard input.

${OPTIONS}
${CODES}`;

/** The help of one command. */
export const helpOf = (name: CommandName): string => `${list(name).join('\n').replace(/^ {2}/gm, '')}

${commands[name].help}

${OPTIONS}
${CODES}`;

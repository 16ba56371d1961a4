import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { ReaderUnits } from '@wainrope/core';
import { type Answer, check } from './check.ts';

const HELP = `wainrope: checks planned rigs

  wainrope check FILE     judge a rig file ("-" reads standard input)

  --json                  the whole report for a program
  --as-of YYYY-MM-DD      judge as of another day
  --units kN|t|lbf        unit of forces (kN)

Exit code: 0 clear, 1 watch, 2 stop, 3 not understood.
`;

const UNITS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];

function run(args: readonly string[]): Answer {
  const options = {
    json: { type: 'boolean' },
    'as-of': { type: 'string' },
    units: { type: 'string' },
    help: { type: 'boolean', short: 'h' },
  } as const;
  const { values, positionals } = parseArgs({ args: [...args], options, allowPositionals: true });
  if (values.help || positionals.length === 0) return { out: HELP, error: '', code: values.help ? 0 : 3 };
  const [command, file, ...rest] = positionals;
  if (command !== 'check' || file === undefined || rest.length > 0)
    return refuse(`“${positionals.join(' ')}” is not a command known here.`);
  const units = UNITS.find((unit) => unit === (values.units ?? 'kN'));
  if (units === undefined) return refuse(`“${values.units}” is not a unit known here; expected ${UNITS.join(', ')}.`);
  const text = readFileSync(file === '-' ? 0 : file, 'utf8');
  return check(text, { json: values.json === true, units, ...(values['as-of'] !== undefined && { asOf: values['as-of'] }) });
}

function refuse(message: string): Answer {
  return { out: '', error: `${message}\n\n${HELP}`, code: 3 };
}

function safely(args: readonly string[]): Answer {
  try {
    return run(args);
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error));
  }
}

const answer = safely(process.argv.slice(2));
process.stdout.write(answer.out);
process.stderr.write(answer.error);
process.exitCode = answer.code;

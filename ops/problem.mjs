// @ts-check
// Faults that a person can act on, and what a program was asked for on its command line.
import { parseArgs } from 'node:util';

/** A fault a person can act on: printed without a stack. */
export class Problem extends Error {}

/** Prints a fault in words, or what nobody expected with all that is known of it. @param {unknown} error */
export function tell(error) {
  console.error(error instanceof Problem ? `\n${error.message}\n` : error);
}

/** @typedef {{ type: 'boolean' | 'string', default?: boolean | string, short?: string }} Option */

/**
 * The options of a program. One that is not known is refused by name, with the help; `--help` prints that and ends.
 * @template {Record<string, Option>} O @param {{ help: string, options?: O, words?: number }} asked `words`: how many there may be beside options.
 */
export function commandLine({ help, options, words = 0 }) {
  /** @type {Record<string, Option>} */
  const all = { ...options, help: { type: 'boolean', short: 'h', default: false } };
  /** @type {ReturnType<typeof parseArgs>} */
  let parsed;
  try {
    parsed = parseArgs({ options: all, allowPositionals: true });
  } catch (error) {
    const [first = ''] = (error instanceof Error ? error.message : String(error)).split('. ');
    refuse(`${first.replace(/\.$/, '')}.`, help);
  }
  if (parsed.values.help) {
    console.log(help);
    process.exit(0);
  }
  const surplus = parsed.positionals[words];
  if (surplus !== undefined) refuse(`“${surplus}” is more than is taken here.`, help);
  return { values: /** @type {Record<keyof O, string | boolean | undefined>} */ (parsed.values), positionals: parsed.positionals };
}

/** @param {string} fault @param {string} help @returns {never} */
function refuse(fault, help) {
  console.error(`\n${fault}\n\n${help}\n`);
  process.exit(2);
}

import type { DecimalMark } from '../quantity/parse-number.ts';
import { LONGEST, parseQuantity, tooLong } from '../quantity/parse-quantity.ts';
import type { Mark, MarkBasis, MarkSource, TonUnit } from './mark.ts';

/** Words that say what a number is; longer phrases first, since they contain the shorter ones. */
const BASIS_WORDS: readonly { readonly pattern: RegExp; readonly basis: MarkBasis }[] = [
  {
    pattern:
      /\b(?:mbs|mbl|breaking strength|breaking load|breaking)?[\s,]*\bbasket\b[\s,]*(?:mbs|mbl|breaking strength|breaking load|breaking)?/i,
    basis: 'basket-mbs',
  },
  { pattern: /\b(?:working load limit|safe working load|work(?:ing)? load)\b|\b(?:wll|swl|w\.l\.l\.|s\.w\.l\.)/i, basis: 'wll' },
  {
    pattern: /\b(?:min(?:imum|\.)?\s+)?(?:breaking|break|ultimate|tensile)(?:\s+(?:strength|load|force))?\b|\b(?:mbs|mbl|mbf|uts)\b/i,
    basis: 'mbs',
  },
  { pattern: /\bproof(?:\s+load|\s+test(?:ed)?)?\b/i, basis: 'proof' },
  { pattern: /\b(?:rated(?:\s+line)?\s+pull|line\s+pull)\b/i, basis: 'rated-pull' },
  { pattern: /\b(?:max(?:imum|\.)?(?:\s+(?:strength|load|capacity))?|capacity)(?![a-z])/i, basis: 'mbs' },
];

export interface MarkContext {
  readonly source: MarkSource;
  readonly decimal: DecimalMark;
  /** A basis chosen in a field of its own; words in the text that say otherwise are a fault. */
  readonly basis?: MarkBasis;
  /** Which ton a bare `ton` is, where somebody has confirmed it. */
  readonly confirmedUnit?: TonUnit;
}

export type ParsedMark = { readonly kind: 'mark'; readonly mark: Mark } | { readonly kind: 'fault'; readonly message: string };

/**
 * Reads a rating as it stands on the tag: `6.5 t WLL`, `MBS 31 700 lb`, `13 ton`. Forces come out in newtons.
 * Two bases or two numbers in one mark are a fault: they belong in marks of their own.
 */
export function parseMark(text: string, { source, decimal, basis, confirmedUnit }: MarkContext): ParsedMark {
  if (text.length > LONGEST) return fault(tooLong(text));
  let rest = text.trim();
  const found: MarkBasis[] = [];
  for (const { pattern, basis: word } of BASIS_WORDS) {
    if (!pattern.test(rest)) continue;
    found.push(word);
    rest = rest.replace(pattern, ' ');
  }
  if (found.length > 1) return fault(`“${text.trim()}” names two kinds of number; enter each as a mark of its own.`);
  const written = found[0];
  if (basis !== undefined && basis !== 'unstated' && written !== undefined && written !== basis)
    return fault(`“${text.trim()}” says ${written}, but the basis chosen is ${basis}; correct one of them.`);
  const quantity = parseQuantity(rest.replace(/^[\s:=]+|[\s:=,;]+$/g, '').replace(/\s{2,}/g, ' '), { dimension: 'force', decimal });
  if (quantity.kind === 'fault') return fault(quantity.message);
  const all = quantity.kind === 'ambiguous' ? quantity.readings : [quantity.reading];
  const confirmed = all.length > 1 ? all.filter(({ unit }) => unit === confirmedUnit) : [];
  const readings = confirmed.length > 0 ? confirmed : all;
  return {
    kind: 'mark',
    mark: {
      asWritten: text.trim(),
      basis: written ?? basis ?? 'unstated',
      source,
      readings: readings.map(({ unit, valueSi }) => ({ unit, forceN: valueSi })),
      settingDecided: quantity.settingDecided,
      ...(confirmed.length > 0 && confirmedUnit && { confirmedUnit }),
    },
  };
}

function fault(message: string): ParsedMark {
  return { kind: 'fault', message };
}

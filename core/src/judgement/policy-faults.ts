import type { Fault } from '../codec/codec.ts';
import { ADOPTED_FROM, adoptedFigure } from '../logbook/own-figure.ts';
import { isFigureOf } from '../policy/adopted-figures.ts';
import type { Policy } from '../policy/policy.ts';
import { type Severity, severities } from './ask/told.ts';
import { rules } from './rules/rule-list.ts';

/** Relative difference of two figures that are the same. */
const SAME = 1e-9;

/** What a policy asks for that no team may have: severities of unknown rules, and rules softened that may not be. */
export function policyFaults(policy: Policy, path = 'policy'): readonly Fault[] {
  return [
    ...electricFaults(policy, path),
    ...ownFigureFaults(policy, path),
    ...Object.entries(policy.severities).flatMap(([code, wanted]) => {
      const rule = rules.find((entry) => entry.code === code);
      const at = `${path}.severities.${code}`;
      if (rule === undefined) return [{ path: at, message: `no rule has the code "${code}"` }];
      if (rule.softenable || !softer(wanted, rule.severity)) return [];
      return [{ path: at, message: `"${wanted}" stands here; this rule is a ${rule.severity} and no team may soften it` }];
    }),
  ];
}

/** A figure of the team's own is what its pulls come to, from enough of them, and there is one of each. */
function ownFigureFaults({ ownFigures }: Policy, path: string): readonly Fault[] {
  return ownFigures.flatMap((figure, index) => {
    const at = `${path}.ownFigures[${index}]`;
    const what = `${figure.machine}, ${figure.surface}, depth ${figure.depth}`;
    if (ownFigures.findIndex((other) => isFigureOf(other, figure)) !== index)
      return [{ path: at, message: `two figures stand for ${what}; one is allowed` }];
    const adoptable = adoptedFigure(figure, figure.pulls)?.share;
    if (adoptable === undefined)
      return [{ path: `${at}.pulls`, message: `${figure.pulls.length} pulls stand behind ${what}; ${ADOPTED_FROM} are needed` }];
    if (Math.abs(figure.share - adoptable) <= SAME * adoptable) return [];
    return [{ path: `${at}.share`, message: `${figure.share} stands for ${what}; its pulls come to ${adoptable}` }];
  });
}

/** A motor never cools below the air around it: a restart temperature at or under that would make it rest for ever. */
function electricFaults({ electric: { restartC, ambientC } }: Policy, path: string): readonly Fault[] {
  if (restartC.value > ambientC.value) return [];
  const message = `${restartC.value} °C stands here; it has to be above the ambient ${ambientC.value} °C, below which no motor cools`;
  return [{ path: `${path}.electric.restartC`, message }];
}

const softer = (wanted: Severity, own: Severity): boolean => severities.indexOf(wanted) > severities.indexOf(own);

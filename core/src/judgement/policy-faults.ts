import type { Fault } from '../codec/codec.ts';
import type { Policy } from '../policy/policy.ts';
import { type Severity, severities } from './ask/told.ts';
import { rules } from './rules/rule-list.ts';

/** What a policy asks for that no team may have: severities of unknown rules, and rules softened that may not be. */
export function policyFaults(policy: Policy, path = 'policy'): readonly Fault[] {
  return [
    ...electricFaults(policy, path),
    ...Object.entries(policy.severities).flatMap(([code, wanted]) => {
      const rule = rules.find((entry) => entry.code === code);
      const at = `${path}.severities.${code}`;
      if (rule === undefined) return [{ path: at, message: `no rule has the code "${code}"` }];
      if (rule.softenable || !softer(wanted, rule.severity)) return [];
      return [{ path: at, message: `"${wanted}" stands here; this rule is a ${rule.severity} and no team may soften it` }];
    }),
  ];
}

/** A motor never cools below the air around it: a restart temperature at or under that would make it rest for ever. */
function electricFaults({ electric: { restartC, ambientC } }: Policy, path: string): readonly Fault[] {
  if (restartC.value > ambientC.value) return [];
  const message = `${restartC.value} °C stands here; it has to be above the ambient ${ambientC.value} °C, below which no motor cools`;
  return [{ path: `${path}.electric.restartC`, message }];
}

const softer = (wanted: Severity, own: Severity): boolean => severities.indexOf(wanted) > severities.indexOf(own);

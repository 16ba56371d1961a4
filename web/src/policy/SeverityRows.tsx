import type { RuleView } from '@wainrope/contract';
import { keyWords, type Policy, type Severity } from '@wainrope/core';
import { Choice } from '../fields/Choice.tsx';
import { severityWords } from '../shell/VerdictMark.tsx';
import { capital } from './policy-words.ts';

const order: readonly Severity[] = ['stop', 'fix', 'caution', 'note'];

interface SeverityRowsProps {
  readonly policy: Policy;
  readonly editable: boolean;
  readonly changed: (policy: Policy) => void;
  readonly rules: readonly RuleView[];
}

/** How serious each rule is for this team: stricter always, milder only where the rule lets itself be softened. */
export function SeverityRows({ policy, editable, changed, rules }: SeverityRowsProps) {
  const set = (code: string, own: Severity, wanted: Severity) => {
    const { [code]: _before, ...rest } = policy.severities;
    changed({ ...policy, severities: wanted === own ? rest : { ...rest, [code]: wanted } });
  };
  return (
    <section id="severities" className="scroll-mt-4 pt-4">
      <h2 className="stitched pb-1.5 text-xl">How serious each rule is</h2>
      <p className="pt-1.5 text-quiet">
        A team may be stricter with any rule; milder only with those that keep nobody from harm by themselves.
      </p>
      {[...rules]
        .sort((a, b) => a.code.localeCompare(b.code))
        .map(({ code, severity, softenable, why }) => {
          const now = policy.severities[code] ?? severity;
          const allowed = order.filter((entry) => softenable || order.indexOf(entry) <= order.indexOf(severity));
          const rule = capital(keyWords(code));
          return (
            <div key={code} className="grid items-center gap-x-4 gap-y-0.5 border-b border-rule py-1 sm:grid-cols-[14rem_8rem_1fr]">
              <span>{rule}</span>
              {editable && allowed.length > 1 ? (
                <Choice
                  label={`How serious: ${rule}`}
                  labelIsHidden
                  value={now}
                  options={allowed}
                  words={(entry) => severityWords[entry]}
                  onChange={(entry) => set(code, severity, entry)}
                />
              ) : (
                <span>{severityWords[now]}</span>
              )}
              <span className="text-[15px] text-quiet">
                {now !== severity && <strong className="text-amber-ink">careful reading: {severityWords[severity].toLowerCase()}. </strong>}
                {why}
              </span>
            </div>
          );
        })}
    </section>
  );
}

import { type Case, type Edit, type GearFacts, gearIdsOf, type Rig, rigDifferences, type ToldReport } from '@wainrope/core';
import { useMemo } from 'react';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useWholeReport } from '../solver/questions.ts';
import { compareRows } from './compare-rows.ts';

interface CompareTableProps {
  /** What the plan as it stands is compared with. */
  readonly name: string;
  /** What the plan that is open is called beside it. */
  readonly here?: string;
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly facts: ReadonlyMap<string, GearFacts>;
  /** Undefined where the plan can only be read. */
  readonly apply: ((edits: readonly Edit[]) => void) | undefined;
  readonly close: () => void;
}

/** Another rig beside the plan as it stands, both judged by today’s register and policy, with what is different in words. */
export function CompareTable({ name, here = 'As it stands', rig, subject, report, facts, apply, close }: CompareTableProps) {
  const { figure, text } = useFigures();
  const other = useMemo((): Case => {
    const gear = gearIdsOf(rig).flatMap((id) => facts.get(id) ?? []);
    return { ...subject, name, rig, gear };
  }, [subject, name, rig, facts]);
  const { value: theirs, failed } = useWholeReport(other);
  if (failed) return <p className="text-rust">It could not be judged. Ask again.</p>;
  if (!theirs) return <Loading what="the other one" className="py-1" />;
  const rows = compareRows({ subject: other, report: theirs }, { subject, report }, { figure, text });
  const differences = rigDifferences(rig, subject.rig, (id) => facts.get(id)?.tag ?? 'a piece no longer in the register');
  return (
    <div className="border-l-4 border-rope bg-paper p-2 text-[15px]" data-compared={name}>
      <table className="w-full [&_td]:border-b [&_td]:border-rule [&_td]:py-1 [&_td]:pr-2 [&_td]:align-top">
        <thead>
          <tr className="text-left">
            <th scope="col">
              <span className="sr-only">What</span>
            </th>
            <th scope="col">{name}</th>
            <th scope="col">{here}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ label, before, now, better }) => (
            <tr key={label}>
              <th scope="row" className="border-b border-rule py-1 pr-2 text-left align-top font-normal text-quiet">
                {label}
              </th>
              <td className={better === 'before' ? 'font-semibold' : ''}>{before}</td>
              <td className={better === 'now' ? 'font-semibold' : ''}>{now}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-[14px] text-quiet">Bold is the better of two that are known. Both are judged by today’s register.</p>
      <h3 className="pt-2 font-semibold">What was changed</h3>
      {differences.length === 0 && <p>Nothing: they are the same.</p>}
      <ul className="list-disc pl-5">
        {differences.map((words) => (
          <li key={text(words)}>{text(words)}.</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2 pt-2">
        {apply && (
          <button type="button" className="action" onClick={() => apply([{ kind: 'replace-rig', rig }])}>
            Take {name}
          </button>
        )}
        <button type="button" className="action" onClick={close}>
          Close
        </button>
      </div>
    </div>
  );
}

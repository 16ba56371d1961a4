import {
  type Case,
  count,
  type Edit,
  endWords,
  force,
  length,
  loadBody,
  type Rig,
  type ToldFinding,
  type ToldReport,
} from '@wainrope/core';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { severityWords } from '../../shell/VerdictMark.tsx';
import { WayFields } from '../site/WayFields.tsx';
import { HandHauls } from './HandHauls.tsx';
import { endsEarly, type PullRow, pullRows } from './pull-rows.ts';
import { RunUp } from './RunUp.tsx';

interface PullPanelProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly show: (finding: ToldFinding) => void;
  readonly locked: boolean;
}

/** How the pull goes, metre by metre: what ends it, what happens on the way, what it asks for at most. */
export function PullPanel({ rig, subject, report, apply, show, locked }: PullPanelProps) {
  return (
    <div className="space-y-4 py-2">
      {!report.runUp && <OnTheWay rig={rig} report={report} show={show} />}
      {!report.runUp && <Figures report={report} />}
      {report.pull.hands.length > 0 && <HandHauls rig={rig} subject={subject} report={report} apply={apply} locked={locked} />}
      <fieldset disabled={locked} className="contents">
        {isRunUp(rig) ? <RunUp rig={rig} subject={subject} report={report} apply={apply} /> : <WayFields rig={rig} apply={apply} />}
      </fieldset>
    </div>
  );
}

const isRunUp = (rig: Rig): boolean => rig.lines.some(({ drive }) => drive.kind === 'tow' && drive.manner === 'run-up');

function OnTheWay({ rig, report, show }: Pick<PullPanelProps, 'rig' | 'report' | 'show'>) {
  const { figure, text } = useFigures();
  const { pull, startOnly } = report;
  const rows = pullRows(report);
  if (startOnly)
    return (
      <p data-pull-end>
        {startOnly === 'not-yet-run'
          ? 'The rest of the way is being worked out.'
          : 'Only the start has been checked: say how far the load has to go.'}
      </p>
    );
  const early = endsEarly(report);
  return (
    <section aria-label="What happens on the way">
      <h3 className="font-head text-lg font-semibold">What happens on the way</h3>
      {rows.length === 0 && <p className="py-1 text-[15px]">Nothing changes on the way. Watch drum and line all the same.</p>}
      <ol className="text-[15px]" data-pull-rows>
        {rows.map((row) => (
          <Row key={row.key} row={row} at={figure(length(row.atM))} words={text(row.words)} show={show} />
        ))}
        <li className={`flex gap-3 py-1.5 font-semibold ${early ? 'text-rust' : ''}`} data-pull-end={pull.end}>
          <span className="w-16 shrink-0 text-right font-mono">{figure(length(pull.reachedM))}</span>
          <span>
            {endWords[pull.end]}
            {early && pull.askedM !== undefined && (
              <span className="block font-normal">
                {loadBody(rig).label} would still have {figure(length(pull.askedM - pull.reachedM))} to go.
              </span>
            )}
          </span>
        </li>
      </ol>
    </section>
  );
}

interface RowProps {
  readonly row: PullRow;
  readonly at: string;
  readonly words: string;
  readonly show: (finding: ToldFinding) => void;
}

function Row({ row: { severity, finding }, at, words, show }: RowProps) {
  return (
    <li className="flex gap-3 border-b border-rule py-1.5">
      <span className="w-16 shrink-0 text-right font-mono">{at}</span>
      {severity && <SeverityShape severity={severity} undecided={false} size={18} className="mt-0.5 shrink-0" />}
      {finding && severity ? (
        <button type="button" className="min-w-0 text-left hover:underline" onClick={() => show(finding)}>
          <span className="sr-only">{severityWords[severity]}: </span>
          {words}
        </button>
      ) : (
        <span className="min-w-0">{words}</span>
      )}
    </li>
  );
}

/** The most that the way asks for, each with its metre, and what it takes in time. */
function Figures({ report }: Pick<PullPanelProps, 'report'>) {
  const { pull } = report;
  const { figure } = useFigures();
  const rows = [
    ['Line pull, at most', pull.plannedN, pull.plannedAtM],
    ['Pull across the way, at most', pull.sidewaysN, pull.sidewaysAtM],
    ['Downward pull at the load, at most', pull.downwardN, pull.downwardAtM],
  ] as const;
  const { lastDrum, haulMin, riggingMin } = pull;
  return (
    <section aria-label="At most, on the way">
      <h3 className="font-head text-lg font-semibold">At most, on the way</h3>
      <table className="w-full text-[15px]">
        <tbody>
          {rows.map(([label, valueN, atM]) =>
            valueN === undefined || atM === undefined ? null : (
              <tr key={label} className="border-b border-rule">
                <td className="py-1">{label}</td>
                <td className="py-1 text-right font-mono whitespace-nowrap">
                  {figure(force(valueN))} <span className="text-quiet">at {figure(length(atM))}</span>
                </td>
              </tr>
            ),
          )}
          {lastDrum.layer !== undefined && (
            <tr className="border-b border-rule">
              <td className="py-1">Drum at the end</td>
              <td className="py-1 text-right font-mono whitespace-nowrap">
                layer {lastDrum.layer}, {lastDrum.wrapsLeft?.toFixed(0)} wraps
              </td>
            </tr>
          )}
          <tr>
            <td className="py-1">
              Minutes, a guess
              <span className="block text-quiet">{haulWords(report)}</span>
            </td>
            <td className="py-1 text-right font-mono whitespace-nowrap">
              {figure(count(Math.round(riggingMin)))}
              {haulMin !== undefined && ` + ${figure(count(Math.round(haulMin)))}`} min
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

/** What the minutes are of. */
function haulWords({ pull: { haulMin, hands } }: ToldReport): string {
  if (haulMin !== undefined) return hands.length > 0 ? 'rigging, then hauling and moving grips' : 'rigging, then hauling with its rests';
  return hands.length > 0 ? 'rigging alone; how far it has to go is not said' : 'rigging alone; the motor is not on record';
}

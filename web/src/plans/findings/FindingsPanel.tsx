import { counted, type Edit, type Fix, length, type PlaceReport, type ToldFinding, type ToldReport } from '@wainrope/core';
import { Link } from 'react-router';
import { WithWords } from '../../explained/WithWords.tsx';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { severityWords } from '../../shell/VerdictMark.tsx';
import { groupedFindings, type Leg } from './finding-groups.ts';
import { findingsAbout } from './findings-at.ts';
import { GroupItem } from './GroupItem.tsx';

interface FindingsPanelProps extends FindingActions {
  readonly report: ToldReport;
  /** The place that somebody touched: what is said of its piece goes first. */
  readonly here?: PlaceReport | undefined;
  readonly leave?: () => void;
}

interface FindingActions {
  readonly apply: (edits: readonly Edit[]) => void;
  readonly choosePiece: (useId: string) => void;
  readonly hangDampers: (legs: readonly Leg[]) => void;
  readonly show: (finding: ToldFinding) => void;
  /** Opens where what a question lacks is filled in. */
  readonly fillIn: (finding: ToldFinding) => void;
}

/** What was found and what is still asked, each with what to do; about the piece that was touched first. */
export function FindingsPanel({ report, here, leave, ...actions }: FindingsPanelProps) {
  if (report.findings.length === 0) return <p className="py-3">Nothing was found against this rig. Keep everyone clear all the same.</p>;
  const own = here ? findingsAbout(report, here.subject) : [];
  if (!here || own.length === 0) return <FindingLists findings={report.findings} {...actions} />;
  const name = [here.tag, here.name].filter(Boolean).join(' ');
  return (
    <>
      <section aria-label={`About ${name}`} data-findings-here>
        <div className="flex items-baseline gap-3 pt-2.5">
          <h3 className="font-head text-lg font-semibold">About {name}</h3>
          <button type="button" className="ml-auto min-h-6 shrink-0 underline" onClick={leave}>
            In the usual order
          </button>
        </div>
        <FindingLists findings={own} {...actions} />
      </section>
      {own.length < report.findings.length && (
        <section aria-label="About the rest">
          <h3 className="pt-2.5 font-head text-lg font-semibold">About the rest</h3>
          <FindingLists findings={report.findings.filter((finding) => !own.includes(finding))} {...actions} />
        </section>
      )}
    </>
  );
}

function FindingLists({ findings, ...actions }: FindingActions & { readonly findings: readonly ToldFinding[] }) {
  const asked = findings.filter(({ questionId, undecided }) => undecided && questionId !== undefined);
  const told = findings.filter((finding) => !asked.includes(finding));
  return (
    <>
      <ul>
        {groupedFindings(told).map((entry) =>
          'act' in entry ? (
            <GroupItem key={entry.act} group={entry} hangDampers={actions.hangDampers}>
              {entry.findings.map((finding) => (
                <FindingItem key={finding.id} finding={finding} {...actions} />
              ))}
            </GroupItem>
          ) : (
            <FindingItem key={entry.id} finding={entry} {...actions} />
          ),
        )}
      </ul>
      {asked.length > 0 && (
        <section aria-label="To look at before tension comes on" className="stitched pt-2.5">
          <h3 className="font-head text-lg font-semibold">To look at before tension comes on</h3>
          <ul>
            {asked.map((finding) => (
              <QuestionItem key={finding.id} finding={finding} {...actions} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** A question that only somebody on the spot can answer: one line, two answers, and what else would settle it. */
function QuestionItem({ finding, apply, choosePiece, hangDampers, show }: FindingActions & { readonly finding: ToldFinding }) {
  const { text } = useFigures();
  const { title, why } = finding;
  const answer = (given: 'yes' | 'no') => () => apply([{ kind: 'answer', questionId: finding.questionId as string, answer: given }]);
  return (
    <li className="flex gap-3 border-b border-rule py-1.5" data-finding={finding.code}>
      <div className="min-w-0 flex-1">
        <button type="button" className="text-left hover:underline" title={why} onClick={() => show(finding)}>
          <span className="sr-only">Question: </span>
          {text(title)}
        </button>
        <div className="flex flex-wrap gap-2 empty:hidden">
          {finding.fixes.map((fix) => (
            <FixButton key={fix.label} fix={fix} apply={apply} choosePiece={choosePiece} hangDampers={hangDampers} />
          ))}
        </div>
      </div>
      <div className="flex shrink-0 items-start gap-2">
        <button type="button" className="action" onClick={answer('yes')}>
          Yes
        </button>
        <button type="button" className="action" onClick={answer('no')}>
          No
        </button>
      </div>
    </li>
  );
}

function FindingItem({ finding, apply, choosePiece, hangDampers, show, fillIn }: FindingActions & { readonly finding: ToldFinding }) {
  const { text, figure } = useFigures();
  const severity = counted(finding);
  const { title, detail, why } = finding;
  return (
    <li className="stitched flex gap-3 py-2.5" data-finding={finding.code}>
      <SeverityShape severity={severity} undecided={finding.undecided} className="mt-0.5 shrink-0" />
      <div className="min-w-0 flex-1">
        <button type="button" className="text-left font-semibold hover:underline" onClick={() => show(finding)}>
          <span className="sr-only">{finding.undecided ? 'Question' : severityWords[severity]}: </span>
          {text(title)}
        </button>
        {detail.length > 0 && <p className="text-[15px]">{text(detail)}</p>}
        {finding.fromM !== undefined && finding.fromM > 0 && (
          <p className="text-[15px] font-semibold" data-from>
            From {figure(length(finding.fromM))} of the way
            {finding.atM !== undefined && finding.atM - finding.fromM > 0.05 && `, worst at ${figure(length(finding.atM))}`}.
          </p>
        )}
        <p className="text-[15px] text-quiet">
          <WithWords text={why} />
        </p>
        <div className="flex flex-wrap gap-2 pt-1.5 empty:hidden">
          {finding.fixes.map((fix) => (
            <FixButton key={fix.label} fix={fix} apply={apply} choosePiece={choosePiece} hangDampers={hangDampers} />
          ))}
          {finding.undecided && finding.fixes.length === 0 && (
            <button type="button" className="action" onClick={() => fillIn(finding)}>
              Fill in what is missing
            </button>
          )}
        </div>
      </div>
    </li>
  );
}

function FixButton({ fix, apply, choosePiece, hangDampers }: { readonly fix: Fix } & Omit<FindingActions, 'show' | 'fillIn'>) {
  if (fix.kind === 'open-piece')
    return (
      <Link className="action" to={`/gear/${fix.gearId}/edit`}>
        {fix.label}
      </Link>
    );
  const act = () => {
    if (fix.kind === 'edits') apply(fix.edits);
    else if (fix.kind === 'choose-piece') choosePiece(fix.useId);
    else hangDampers([fix]);
  };
  return (
    <button type="button" className="action" onClick={act}>
      {fix.label}
    </button>
  );
}

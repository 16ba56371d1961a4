import { counted, type Edit, type Finding, type Fix, type Report, type Severity } from '@wainrope/core';
import { Link } from 'react-router';
import { useFigures } from '../shell/use-figures.ts';
import { severityWords } from '../shell/VerdictMark.tsx';

interface FindingsPanelProps {
  readonly report: Report;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly choosePiece: (useId: string) => void;
  readonly addDamper: (lineId: string, strand: number) => void;
  readonly show: (finding: Finding) => void;
}

const COLOURS: { readonly [S in Severity]: string } = {
  stop: 'text-rust',
  fix: 'text-amber-ink',
  caution: 'text-amber-ink',
  note: 'text-slate',
};

/** Each severity by its own shape: filled bar, filled diamond, open diamond, ring; a question wears its mark. */
function SeverityShape({ severity, undecided }: { readonly severity: Severity; readonly undecided: boolean }) {
  const shapes: { readonly [S in Severity]: React.ReactNode } = {
    stop: <rect x="2" y="7" width="20" height="10" fill="currentColor" />,
    fix: <path d="M12 2 22 12 12 22 2 12Z" fill="currentColor" />,
    caution: <path d="M12 3 21 12 12 21 3 12Z" fill="none" stroke="currentColor" strokeWidth="2.4" />,
    note: <circle cx="12" cy="12" r="8" fill="none" stroke="currentColor" strokeWidth="2.2" />,
  };
  return (
    <svg width="22" height="22" viewBox="0 0 24 24" className={`mt-0.5 shrink-0 ${COLOURS[severity]}`} aria-hidden="true">
      {undecided ? (
        <>
          <path d="M3 3H21V21H3Z" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="4 3" />
          <path d="M9 9.5a3 3 0 1 1 4.4 2.6c-1 .6-1.4 1-1.4 2.2M12 17v1.2" fill="none" stroke="currentColor" strokeWidth="2" />
        </>
      ) : (
        shapes[severity]
      )}
    </svg>
  );
}

/** What was found and what is still asked, each with what to do. */
export function FindingsPanel({ report, ...actions }: FindingsPanelProps) {
  if (report.findings.length === 0) return <p className="py-3">Nothing was found against this rig. Keep everyone clear all the same.</p>;
  const asked = report.findings.filter(({ questionId, undecided }) => undecided && questionId !== undefined);
  const told = report.findings.filter((finding) => !asked.includes(finding));
  return (
    <>
      <ul>
        {told.map((finding) => (
          <FindingItem key={finding.id} finding={finding} {...actions} />
        ))}
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
function QuestionItem({
  finding,
  apply,
  choosePiece,
  addDamper,
  show,
}: Omit<FindingsPanelProps, 'report'> & { readonly finding: Finding }) {
  const { text } = useFigures();
  const answer = (given: 'yes' | 'no') => () => apply([{ kind: 'answer', questionId: finding.questionId as string, answer: given }]);
  return (
    <li className="flex gap-3 border-b border-rule py-1.5" data-finding={finding.code}>
      <div className="min-w-0 flex-1">
        <button type="button" className="text-left hover:underline" title={finding.why} onClick={() => show(finding)}>
          <span className="sr-only">Question: </span>
          {text(finding.title)}
        </button>
        <div className="flex flex-wrap gap-2 empty:hidden">
          {finding.fixes.map((fix) => (
            <FixButton key={fix.label} fix={fix} apply={apply} choosePiece={choosePiece} addDamper={addDamper} />
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

function FindingItem({ finding, apply, choosePiece, addDamper, show }: Omit<FindingsPanelProps, 'report'> & { readonly finding: Finding }) {
  const { text } = useFigures();
  const severity = counted(finding);
  return (
    <li className="stitched flex gap-3 py-2.5" data-finding={finding.code}>
      <SeverityShape severity={severity} undecided={finding.undecided} />
      <div className="min-w-0 flex-1">
        <button type="button" className="text-left font-semibold hover:underline" onClick={() => show(finding)}>
          <span className="sr-only">{finding.undecided ? 'Question' : severityWords[severity]}: </span>
          {text(finding.title)}
        </button>
        {finding.detail.length > 0 && <p className="text-[15px]">{text(finding.detail)}</p>}
        <p className="text-[15px] text-quiet">{finding.why}</p>
        <div className="flex flex-wrap gap-2 pt-1.5 empty:hidden">
          {finding.fixes.map((fix) => (
            <FixButton key={fix.label} fix={fix} apply={apply} choosePiece={choosePiece} addDamper={addDamper} />
          ))}
        </div>
      </div>
    </li>
  );
}

function FixButton({
  fix,
  apply,
  choosePiece,
  addDamper,
}: { readonly fix: Fix } & Pick<FindingsPanelProps, 'apply' | 'choosePiece' | 'addDamper'>) {
  if (fix.kind === 'open-piece')
    return (
      <Link className="action" to={`/gear/${fix.gearId}/edit`}>
        {fix.label}
      </Link>
    );
  const act = () => {
    if (fix.kind === 'edits') apply(fix.edits);
    else if (fix.kind === 'choose-piece') choosePiece(fix.useId);
    else addDamper(fix.lineId, fix.strand);
  };
  return (
    <button type="button" className="action" onClick={act}>
      {fix.label}
    </button>
  );
}

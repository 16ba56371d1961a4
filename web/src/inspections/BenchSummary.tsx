import { type GearView, isUseCheck } from '@wainrope/contract';
import { Printer } from 'lucide-react';
import { Link, useParams, useSearchParams } from 'react-router';
import { usePerson } from '../access/use-session.ts';
import type { BenchDraft, BenchRound } from '../outbox/bench-store.ts';
import { kindWords } from '../register/care-words.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { day } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { Tag } from '../shell/Tag.tsx';
import { backOf } from './back-of.ts';
import { draftOutcome } from './draft-outcome.ts';
import { useRound } from './use-bench.ts';
import { type SheetInForce, useSheets } from './use-sheets.ts';

const statusWords: { readonly [S in BenchDraft['status']]: string } = {
  draft: 'begun, not confirmed',
  queued: 'waits to be sent',
  sent: '',
  refused: 'refused',
};

/** What a round came to, to read and to print for the shed's wall. */
export function BenchSummary() {
  const { roundId = '' } = useParams();
  const [params] = useSearchParams();
  const back = backOf(params);
  const { round, drafts } = useRound(roundId);
  const { pieces, team } = useRegister();
  const { sheets } = useSheets();
  const person = usePerson();
  if (round === null) return <p className="p-5">This round is not on this device.</p>;
  if (!round || !drafts || !pieces || !sheets || !team) return <Loading what="the round" className="p-5" />;
  const rows = resultsOf({ round, drafts, pieces, sheets, decimal: team.decimalMark });
  const failed = rows.filter(({ result, draft }) => result?.grade === 'D' && draft?.status !== 'draft').length;
  const elsewhere = new Set(round.confirmedElsewhere);
  const confirmed = new Set([
    ...elsewhere,
    ...drafts.filter(({ status }) => status === 'sent' || status === 'queued').map(({ gearId }) => gearId),
  ]).size;
  return (
    <div className="page py-4">
      <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-3">
        <PageHeading title={`${round.title}: ${kindWords[round.kind].toLowerCase()}`} about="summary" />
        <div className="no-print ml-auto flex gap-2">
          <button type="button" className="action" onClick={() => window.print()}>
            <Printer size={17} aria-hidden="true" /> Print
          </button>
          <Link className="action" to={{ pathname: `/inspect/${roundId}`, search: params.toString() }}>
            Back to the bench
          </Link>
          <Link className="action-main" to={back ?? '/'}>
            {back ? 'Back to the plan' : 'Done'}
          </Link>
        </div>
      </div>
      <p className="pt-3 text-lg">
        {confirmed} of {rows.length} pieces confirmed on {day(team.today)}
        {person?.personId === round.personId && ` by ${person.name}`}.{' '}
        {failed > 0 ? (
          <strong className="text-rust">{failed} out of use.</strong>
        ) : elsewhere.size > 0 ? (
          'None failed here.'
        ) : (
          'None failed.'
        )}
      </p>
      <ResultTable rows={rows} elsewhere={elsewhere} isCheck={isUseCheck(round.kind)} />
      <p className="hidden pt-10 print:block">Signature ______________________________ Date ______________</p>
      <p className="pt-4 text-[15px] text-quiet">
        An inspection by these sheets is the team’s own. The maker’s instructions and limits win over every figure here.
      </p>
    </div>
  );
}

interface Results {
  readonly round: BenchRound;
  readonly drafts: readonly BenchDraft[];
  readonly pieces: readonly RegisterPiece[];
  readonly sheets: ReadonlyMap<GearView['kind'], SheetInForce>;
  readonly decimal: '.' | ',';
}

/** Each piece of the round with what was found on it; without a result where nobody has looked. */
function resultsOf({ round, drafts, pieces, sheets, decimal }: Results) {
  return round.gearIds.flatMap((gearId) => {
    const gear = pieces.find((entry) => entry.gear.gearId === gearId)?.gear;
    const inForce = gear && sheets.get(gear.kind);
    const draft = drafts.find((entry) => entry.gearId === gearId);
    if (!gear || !inForce) return [];
    return [{ gear, draft, result: draft && resultOf(draft, inForce, gear, decimal) }];
  });
}

interface ResultTableProps {
  readonly rows: ReturnType<typeof resultsOf>;
  /** Pieces that were confirmed on the device from which the round was taken over. */
  readonly elsewhere: ReadonlySet<string>;
  readonly isCheck: boolean;
}

function ResultTable({ rows, elsewhere, isCheck }: ResultTableProps) {
  return (
    <table className="mt-3 w-full border-collapse text-left">
      <thead>
        <tr className="border-b-2 border-ink">
          <th className="py-1 pr-3">Tag</th>
          <th className="pr-3">Piece</th>
          <th className="pr-3">{isCheck ? 'Fit' : 'Grade'}</th>
          <th className="pr-3">Found</th>
          <th>Next</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ gear, draft, result }) => (
          <tr key={gear.gearId} className="border-b border-rule align-top">
            <td className="py-1.5 pr-3">
              <Tag code={gear.tag} />
            </td>
            <td className="pr-3">{gear.name}</td>
            <td className={`pr-3 font-semibold ${result?.grade === 'D' ? 'text-rust' : ''}`}>
              {result && draft?.status !== 'draft' ? gradeWords(result.grade, isCheck) : '–'}
            </td>
            <td className="pr-3">
              {result?.found.join('; ')} {draft?.note}
              {draft && statusWords[draft.status] && <span className="block text-quiet">{statusWords[draft.status]}</span>}
              {draft?.problem && draft.status === 'refused' && <span className="block text-rust">{draft.problem}</span>}
              {!draft && <span className="text-quiet">{elsewhere.has(gear.gearId) ? 'confirmed on another device' : 'not looked at'}</span>}
            </td>
            <td className="whitespace-nowrap">{result?.next}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const gradeWords = (grade: string, check: boolean): string => (check ? (grade === 'D' ? 'no' : 'yes') : grade);

function resultOf(draft: BenchDraft, { sheet }: SheetInForce, gear: Parameters<typeof draftOutcome>[2], decimal: '.' | ',') {
  const { grade, proposed } = draftOutcome(draft, sheet, gear, decimal);
  return { grade, found: proposed.reasons.map(({ words }) => words), next: draft.request?.nextDue ?? '' };
}

import { type InspectionView, isUseCheck } from '@wainrope/contract';
import { type InspectionAnswers, type InspectionSheet, measuredShare, newValueOf, type SheetMeasure } from '@wainrope/core';
import { Printer } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useGetGearQuery, useGetInspectionQuery } from '../api/wainrope-api.ts';
import { kindWords } from '../register/care-words.ts';
import { day, moment } from '../shell/days.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { limitWords, shareWords, valueWords } from '../wear/measure-words.ts';
import { answerWords } from './inspection-words.ts';

/** One inspection as it was made, with the sheet it was made by. */
export function InspectionPage() {
  const { inspectionId = '' } = useParams();
  const { data: view, error, refetch } = useGetInspectionQuery({ inspectionId });
  return (
    <div className="page py-4">
      <ProblemNote error={error} retry={refetch} />
      {view && <Record view={view} />}
    </div>
  );
}

/** Less is the way from a device to the register. */
const ON_ITS_WAY_MS = 120_000;
const arrivedLate = ({ doneAt, recordedAt }: InspectionView) => Date.parse(recordedAt) - Date.parse(doneAt) > ON_ITS_WAY_MS;

function Record({ view }: { readonly view: InspectionView }) {
  const may = useMay();
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-3">
        <Link to={`/gear/${view.gearId}`}>
          <Tag code={view.tag} large />
        </Link>
        <PageHeading title={`${view.tag} ${view.name}`} about="inspection">
          {view.name}
        </PageHeading>
        {may('inspection.full') && view.kind !== 'on-record' && !isUseCheck(view.kind) && (
          <Link className="action no-print ml-auto" to={`/inspect?of=piece:${view.gearId}&kind=${view.kind}&corrects=${view.inspectionId}`}>
            Put it right
          </Link>
        )}
        <button type="button" className="action no-print" onClick={() => window.print()}>
          <Printer size={17} aria-hidden="true" /> Print
        </button>
      </div>
      <p className="pt-3 text-lg">
        {kindWords[view.kind]}, on {day(view.on)}, by {view.by}.{' '}
        {view.grade ? (
          <strong>
            Grade {view.grade}
            {view.proposedGrade && view.proposedGrade !== view.grade && ` (what was found pointed to ${view.proposedGrade})`}.
          </strong>
        ) : (
          'Checked and found fit; grade and due day stayed as they were.'
        )}{' '}
        {view.nextDue && `Next due ${day(view.nextDue)}.`}
      </p>
      {arrivedLate(view) && (
        <p className="pt-1 text-quiet">
          Confirmed on a device at {moment(view.doneAt)}, without a signal; in the register since {moment(view.recordedAt)}.
        </p>
      )}
      {view.note && <p className="pt-1">“{view.note}”</p>}
      {view.corrects && (
        <p className="pt-1 text-amber-ink">
          Corrects{' '}
          <Link className="underline" to={`/inspections/${view.corrects}`}>
            an earlier inspection
          </Link>
          .
        </p>
      )}
      {view.sheet && view.answers && <Answers view={view} sheet={view.sheet} answers={view.answers} />}
      <div className="flex flex-wrap gap-3 pt-4">
        {view.photoIds.map((photoId, index) => (
          <a key={photoId} href={`/api/v1/photos/${photoId}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/v1/photos/${photoId}/thumbnail`}
              alt={`${view.tag}, what was found, ${index + 1}`}
              className="h-32 border border-rule"
            />
          </a>
        ))}
      </div>
      <p className="pt-4 text-[15px] text-quiet">
        {view.sheet
          ? `Made by ${view.sheetVersion === 0 ? 'the standard sheet' : `version ${view.sheetVersion} of the team’s sheet`}.`
          : 'Taken over without its findings.'}
      </p>
    </>
  );
}

interface AnswersProps {
  readonly view: InspectionView;
  readonly sheet: InspectionSheet;
  readonly answers: InspectionAnswers;
}

/** What was answered to each point, and what was measured. */
function Answers({ view, sheet, answers }: AnswersProps) {
  const { data: gear } = useGetGearQuery({ gearId: view.gearId });
  const attributes = (gear?.attributes ?? {}) as { readonly [key: string]: unknown };
  return (
    <table className="mt-4 w-full border-collapse text-left">
      <tbody>
        {sheet.points.map(({ id, look }) => (
          <tr key={id} className="border-b border-rule align-top">
            <td className="py-1 pr-3">{look}</td>
            <td className={`py-1 pr-3 font-semibold whitespace-nowrap ${answers.points[id] === 'fails' ? 'text-rust' : ''}`}>
              {answers.points[id] ? answerWords[answers.points[id]] : 'not answered'}
            </td>
            <td className="py-1 text-quiet">{answers.notes[id]}</td>
          </tr>
        ))}
        {sheet.measures.map((measure) => (
          <MeasureLine key={measure.id} measure={measure} answers={answers} attributes={attributes} />
        ))}
      </tbody>
    </table>
  );
}

interface MeasureLineProps {
  readonly measure: SheetMeasure;
  readonly answers: InspectionAnswers;
  readonly attributes: { readonly [key: string]: unknown };
}

/** A value that was measured, with what it was when new and what is allowed. */
function MeasureLine({ measure, answers, attributes }: MeasureLineProps) {
  const taken = answers.measures[measure.id];
  const whenNew = newValueOf(measure, attributes, answers);
  const share = taken && measuredShare(measure, taken.value, whenNew);
  return (
    <tr className="border-b border-rule align-top">
      <td className="py-1 pr-3">{measure.label}</td>
      <td className="py-1 pr-3 font-mono whitespace-nowrap">{taken ? valueWords(measure.quantity, taken.value) : 'not measured'}</td>
      <td className={`py-1 ${share?.over ? 'text-rust' : 'text-quiet'}`}>
        {limitWords(measure, whenNew)}
        {share && `; ${shareWords(measure, share)}`}
      </td>
    </tr>
  );
}

import type { DefectView, ExposureView, GearView, InspectionListed, StateChangeView } from '@wainrope/contract';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useGetCareQuery } from '../api/wainrope-api.ts';
import { exposureWords, kindWords } from '../register/care-words.ts';
import { stateWords } from '../register/gear-words.ts';
import { day, moment } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { CareActions } from './CareActions.tsx';

/** How a piece is cared for: inspections, defects, exposure, states, and what may be done about them. */
export function CareSection({ gear, today }: { readonly gear: GearView; readonly today: string }) {
  const { data: care, error, refetch } = useGetCareQuery({ gearId: gear.gearId });
  return (
    <section className="pt-6" aria-label="Care">
      <h2 className="stitched pb-1.5 text-xl">Care</h2>
      <ProblemNote error={error} retry={refetch} />
      <CareActions gear={gear} today={today} />
      {care && (
        <div className="grid gap-x-12 gap-y-4 pt-3 lg:grid-cols-2">
          <Column title="Inspections and checks" empty="None on record.">
            {care.inspections.map((entry) => (
              <InspectionLine key={entry.inspectionId} entry={entry} />
            ))}
          </Column>
          <div className="space-y-4">
            {care.defects.length > 0 && (
              <Column title="Defects">
                {care.defects.map((entry) => (
                  <DefectLine key={entry.defectId} entry={entry} />
                ))}
              </Column>
            )}
            {care.exposures.length > 0 && (
              <Column title="What it met">
                {care.exposures.map((entry) => (
                  <ExposureLine key={entry.exposureId} entry={entry} />
                ))}
              </Column>
            )}
            {care.states.length > 0 && (
              <Column title="States">
                {care.states.map((entry) => (
                  <StateLine key={entry.at} entry={entry} />
                ))}
              </Column>
            )}
          </div>
        </div>
      )}
    </section>
  );
}

function Column({ title, empty, children }: { readonly title: string; readonly empty?: string; readonly children: readonly ReactNode[] }) {
  return (
    <div>
      <h3 className="text-lg">{title}</h3>
      {children.length === 0 && <p className="text-quiet">{empty}</p>}
      <ul>{children}</ul>
    </div>
  );
}

function InspectionLine({ entry }: { readonly entry: InspectionListed }) {
  return (
    <li className="flex flex-wrap gap-x-3 border-b border-rule py-1">
      <Link className="underline" to={`/inspections/${entry.inspectionId}`}>
        {day(entry.on)}
      </Link>
      <span>{kindWords[entry.kind]}</span>
      <strong className={entry.grade === 'D' ? 'text-rust' : ''}>{entry.grade ? `grade ${entry.grade}` : 'fit'}</strong>
      {entry.corrects && <span className="text-amber-ink">correction</span>}
      <span className="ml-auto text-quiet">{entry.by}</span>
    </li>
  );
}

function DefectLine({ entry }: { readonly entry: DefectView }) {
  return (
    <li className={`border-b border-rule py-1 ${entry.closedOn ? 'text-quiet' : ''}`}>
      <strong className={entry.closedOn ? 'font-normal' : entry.failed ? 'text-rust' : 'text-amber-ink'}>{entry.words}</strong>{' '}
      {entry.closedOn ? `from ${day(entry.openedOn)}, closed ${day(entry.closedOn)}: ${entry.how}` : `open since ${day(entry.openedOn)}`}
    </li>
  );
}

function ExposureLine({ entry }: { readonly entry: ExposureView }) {
  return (
    <li className="border-b border-rule py-1">
      {exposureWords[entry.kind]} on {day(entry.on)} <span className="text-quiet">{[entry.by, entry.note].filter(Boolean).join(': ')}</span>
    </li>
  );
}

function StateLine({ entry }: { readonly entry: StateChangeView }) {
  return (
    <li className="border-b border-rule py-1">
      {stateWords[entry.to as keyof typeof stateWords]}: {entry.reason}
      {entry.destroyed && ` Destroyed: ${entry.destroyed}`}
      <span className="block text-[15px] text-quiet">
        {moment(entry.at)}, {entry.by}
      </span>
    </li>
  );
}

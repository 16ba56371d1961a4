import type { GearView, MarkView, TeamView } from '@wainrope/contract';
import { gearFactsOf } from '@wainrope/contract';
import {
  basisWords,
  explainLimit,
  type Field,
  type Figure,
  force,
  formatFigure,
  gearClasses,
  keyWords,
  length,
  mass,
  pieceLimit,
  type ReaderUnits,
  refusedByTeam,
  smallLength,
  sourceWords,
  useWords,
  usualUse,
} from '@wainrope/core';
import { Pencil } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useGetGearQuery, useListAuditOfQuery } from '../api/wainrope-api.ts';
import { Explained } from '../explained/Explained.tsx';
import { BreakTests } from '../logbook/BreakTests.tsx';
import { DiarySection } from '../logbook/DiarySection.tsx';
import { LifeSection } from '../logbook/LifeSection.tsx';
import { LoadSection } from '../logbook/LoadSection.tsx';
import { useIsBookRead } from '../logbook/use-book.ts';
import { stateWords } from '../register/gear-words.ts';
import { useTeam } from '../register/use-register.ts';
import { day, moment, withDays } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { TrailList } from '../team/TrailList.tsx';
import { WearSection } from '../wear/WearSection.tsx';
import { CareSection } from './CareSection.tsx';

export function GearPage() {
  const { gearId = '' } = useParams();
  const { data: gear, error, refetch } = useGetGearQuery({ gearId });
  return (
    <div className="page py-4">
      <p className="no-print">
        <Link className="underline" to="/gear">
          Gear
        </Link>
      </p>
      <ProblemNote error={error} retry={refetch} />
      {gear ? <Sheet gear={gear} /> : !error && <Loading what="the piece" />}
    </div>
  );
}

function Sheet({ gear }: { readonly gear: GearView }) {
  const { team } = useTeam();
  const may = useMay();
  const kit = team?.kits.find(({ kitId }) => kitId === gear.kitId)?.name;
  const vehicle = team?.vehicles.find(({ vehicleId }) => vehicleId === gear.vehicleId)?.name;
  const facts: readonly (readonly [string, string | undefined])[] = [
    ['Class', gearClasses[gear.kind].label],
    ['Maker', [gear.maker, gear.model].filter(Boolean).join(', ')],
    ['Batch', gear.batch],
    ['Owner', gear.owner],
    ['Where', [kit, vehicle && `on ${vehicle}`].filter(Boolean).join(', ')],
    ['Checked out', gear.away && `with ${gear.away.holder} since ${moment(gear.away.since)}`],
    ['Made', gear.madeOn && day(gear.madeOn)],
    ['Bought', gear.boughtOn && day(gear.boughtOn)],
    ['First used', gear.firstUsedOn && day(gear.firstUsedOn)],
    ['Renewed until', gear.renewedUntil && day(gear.renewedUntil)],
    ['Overloads since inspection', gear.overloadsSinceInspection > 0 ? String(gear.overloadsSinceInspection) : undefined],
    ['Note', gear.note],
  ];
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-4 border-b-2 border-ink pb-3">
        <Tag code={gear.tag} large />
        <PageHeading title={`${gear.tag} ${gear.name}`} about="gear" className="text-[30px]">
          {gear.name}
        </PageHeading>
        {gear.state !== 'in-use' && (
          <strong className="bg-rust px-2 py-1 text-on-rust">{stateWords[gear.state]}: must not be planned with</strong>
        )}
        {may('gear.write') && (
          <Link className="action no-print ml-auto" to={`/gear/${gear.gearId}/edit`}>
            <Pencil size={16} aria-hidden="true" /> Edit
          </Link>
        )}
      </div>
      <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[1fr_1.15fr]">
        <div>
          <Marks marks={gear.marks} />
          <Inspection gear={gear} today={team?.today ?? ''} />
          <h2 className="stitched mt-5 pb-1.5 text-xl">About it</h2>
          <Pairs pairs={facts} />
        </div>
        <div>
          <LimitSheet gear={gear} />
          <h2 className="stitched mt-5 pb-1.5 text-xl">Sizes and make-up</h2>
          <Attributes gear={gear} />
        </div>
      </div>
      {team && <Book key={gear.gearId} gear={gear} team={team} />}
      {may('audit.of-one') && <History gearId={gear.gearId} />}
    </>
  );
}

interface BookProps {
  readonly gear: GearView;
  readonly team: TeamView;
}

/** The piece's book, shown when all of it is there: nothing moves under a finger that is on its way to a button. */
function Book({ gear, team }: BookProps) {
  const { gearId } = gear;
  if (!useIsBookRead(gear)) return <Loading what="its book" />;
  const { today, decimalMark: decimal } = team;
  return (
    <>
      <LifeSection gearId={gearId} tag={gear.tag} today={today} />
      <CareSection gear={gear} today={today} />
      <WearSection gearId={gearId} tag={gear.tag} />
      <LoadSection gear={gear} today={today} decimal={decimal} />
      <DiarySection gear={gear} today={today} decimal={decimal} />
      <BreakTests gear={gear} today={today} decimal={decimal} />
    </>
  );
}

/** What was done to the piece, newest first. */
function History({ gearId }: { readonly gearId: string }) {
  const { data: page, error, refetch } = useListAuditOfQuery({ subjectId: gearId });
  return (
    <section className="pt-6">
      <h2 className="stitched pb-1.5 text-xl">What was done to it</h2>
      <ProblemNote error={error} retry={refetch} />
      {page && <TrailList entries={page.items} withSubject={false} />}
    </section>
  );
}

function Pairs({ pairs }: { readonly pairs: readonly (readonly [string, string | undefined])[] }) {
  const known = pairs.filter(([, value]) => value !== undefined && value !== '');
  return (
    <dl className="grid grid-cols-[minmax(8rem,auto)_1fr] gap-x-5 gap-y-1 pt-2">
      {known.map(([label, value]) => (
        <div key={label} className="contents">
          <dt className="text-quiet">{label}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function Marks({ marks }: { readonly marks: readonly MarkView[] }) {
  const { figure } = useFigures();
  return (
    <section>
      <h2 className="stitched pb-1.5 text-xl">As marked</h2>
      {marks.length === 0 && <p className="pt-2">No mark on record.</p>}
      <ul>
        {marks.map((mark) => (
          <li key={`${mark.asWritten}${mark.basis}`} className="flex flex-wrap items-baseline gap-x-3 pt-2">
            <strong className="font-mono text-[17px]">“{mark.asWritten}”</strong>
            <span>{basisWords[mark.basis]}</span>
            <span className="text-quiet">{sourceWords[mark.source]}</span>
            <span className="ml-auto font-mono">{mark.readings.map(({ forceN }) => figure(force(forceN))).join(' / ')}</span>
            {mark.readings.length > 1 && (
              <Caution>Which ton? {mark.readings.map(({ unit }) => unit).join(', ')} are possible; a strength counts the smallest.</Caution>
            )}
            {mark.basis === 'unstated' && <Caution>The mark does not say what it means; it counts as breaking strength.</Caution>}
            {mark.source === 'advert' && <Caution>An advert is a claim, not a rating.</Caution>}
            {mark.settingDecided && <Caution>Thousands or decimals? The team’s setting decided.</Caution>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Caution({ children }: { readonly children: React.ReactNode }) {
  return <span className="basis-full border-l-4 border-signal pl-2 text-amber-ink">{children}</span>;
}

function Inspection({ gear, today }: { readonly gear: GearView; readonly today: string }) {
  const { inspection } = gear;
  const overdue = inspection?.nextDue !== undefined && inspection.nextDue < today;
  return (
    <section>
      <h2 className="stitched mt-5 pb-1.5 text-xl">Last inspection</h2>
      {inspection ? (
        <p className="flex flex-wrap items-baseline gap-x-3 pt-2">
          <strong className="font-head text-3xl">Grade {inspection.grade}</strong>
          <span>
            on {day(inspection.on)}
            {inspection.by && ` by ${inspection.by}`}
          </span>
          <span className={overdue ? 'font-semibold text-rust' : 'text-quiet'}>
            {inspection.nextDue ? `${overdue ? 'overdue since' : 'next due'} ${day(inspection.nextDue)}` : 'no next date set'}
            {inspection.shortenedBy && `, brought forward by ${withDays(inspection.shortenedBy)}`}
          </span>
        </p>
      ) : (
        <p className="pt-2 text-amber-ink">Never inspected on record; it counts as worn.</p>
      )}
    </section>
  );
}

function LimitSheet({ gear }: { readonly gear: GearView }) {
  const { team, policy } = useTeam();
  const { figure } = useFigures();
  if (!team || !policy) return null;
  const facts = gearFactsOf(gear);
  const use = usualUse(facts.kind);
  const context = { policy, asOf: team.today, wet: false };
  const limit = pieceLimit(facts, use, context);
  const term = use && explainLimit(facts, use, context);
  const refused = refusedByTeam(facts, policy.schools);
  return (
    <section>
      <h2 className="stitched pb-1.5 text-xl">Working load limit</h2>
      {refused && <p className="pt-2 text-rust">Never in a rig: {refused}.</p>}
      {limit.kind === 'rated' && use && (
        <>
          <p className="flex flex-wrap items-baseline gap-x-3 pt-2">
            <strong className="font-head text-4xl">{figure(force(limit.wllN))}</strong>
            <span className="text-quiet">as {useWords[use]}, straight and dry</span>
          </p>
          <h3 className="pt-2 font-sans text-[15px] font-normal text-quiet">How it was worked out</h3>
          {term && <Explained term={term} />}
        </>
      )}
      {limit.kind === 'unrated' && (
        <p className="pt-2 text-rust">Not rated: nothing marked on it is on record, so it never passes a check.</p>
      )}
      {limit.kind === 'carries-nothing' && (
        <p className="pt-2">
          {gearClasses[facts.kind].withoutLimit || 'Pieces of this class are never loaded; they have no working limit.'}
        </p>
      )}
      <p className="pt-3 text-[15px] text-quiet">
        An estimate from what is on record. The lowest marked limit and the maker’s instructions win.{' '}
        <Link className="underline" to="/words#working-limit">
          What a working limit is
        </Link>
      </p>
    </section>
  );
}

function attributeText(field: Field, value: unknown, units: ReaderUnits): string {
  const figures: { readonly [type: string]: (si: number) => Figure } = { length, 'small-length': smallLength, mass, force };
  const make = figures[field.type];
  if (make && typeof value === 'number') return formatFigure(make(value), units);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return field.type === 'choice' ? keyWords(String(value)) : String(value);
}

function Attributes({ gear }: { readonly gear: GearView }) {
  const { units } = useFigures();
  const fields = Object.entries<Field>(gearClasses[gear.kind].fields);
  const values = gear.attributes as { readonly [key: string]: unknown };
  const missing = fields.filter(([key]) => values[key] === undefined).map(([, { label }]) => label.toLowerCase());
  return (
    <>
      <Pairs
        pairs={fields.map(([key, field]) => [
          field.label,
          values[key] === undefined ? undefined : attributeText(field, values[key], units),
        ])}
      />
      {missing.length > 0 && <p className="pt-2 text-[15px] text-quiet">Not on record: {missing.join(', ')}.</p>}
    </>
  );
}

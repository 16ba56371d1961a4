import type { KitDetail } from '@wainrope/contract';
import { force, gearClasses, type WantedLine } from '@wainrope/core';
import { Pencil, Printer } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useMoveContentsMutation } from '../api/wainrope-api.ts';
import { TagEntry } from '../fields/TagEntry.tsx';
import type { RegisterPiece } from '../register/use-register.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { KitForm } from './KitForm.tsx';
import { notFitWords, shortWords, terrainWords, wantedWords } from './kit-words.ts';
import { ReadyMark } from './ReadyMark.tsx';
import { type KitState, useKits } from './use-kits.ts';

/** A kit: what it should hold, what it holds, what is missing and what would do instead. */
export function KitPage() {
  const { kitId = '' } = useParams();
  const { kits, pieces, team, error, refetch } = useKits();
  const [editing, setEditing] = useState(false);
  const may = useMay();
  const state = kits?.find(({ kit }) => kit.kitId === kitId);
  if (!state || !pieces || !team)
    return (
      <div className="p-5">
        {error ? <ProblemNote error={error} retry={refetch} /> : kits ? 'There is no such kit.' : <Loading what="the kit" />}
      </div>
    );
  const { kit, readiness, inside } = state;
  const vehicle = team.vehicles.find(({ vehicleId }) => vehicleId === kit.vehicleId)?.name;
  return (
    <div className="page py-4">
      <p className="no-print">
        <Link className="underline" to="/kits">
          Kits
        </Link>
      </p>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-3">
        <PageHeading title={kit.name} about="kit" />
        <ReadyMark readiness={readiness} asked={kit.wanted.length > 0} />
        <span className="text-quiet">
          {[kit.terrain && terrainWords[kit.terrain], vehicle && `travels on ${vehicle}`, kit.note].filter(Boolean).join(' · ')}
        </span>
        <span className="no-print ml-auto flex flex-wrap gap-2">
          <button type="button" className="action" onClick={() => window.print()}>
            <Printer size={16} aria-hidden="true" /> Print
          </button>
          {may('kit.write') && (
            <button type="button" className="action" onClick={() => setEditing(!editing)}>
              <Pencil size={16} aria-hidden="true" /> {editing ? 'Leave it as it is' : 'Change'}
            </button>
          )}
          {may('inspection.use-check') && (
            <Link className="action" to={`/inspect?of=kit:${kitId}`}>
              Inspect it
            </Link>
          )}
          {may('whereabouts.write') && (
            <Link className="action-main" to={`/outings?take=kit:${kitId}`}>
              Check it out
            </Link>
          )}
        </span>
      </div>
      {editing && <KitForm kit={kit} done={() => setEditing(false)} />}
      <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-2">
        <Wanted state={state} pieces={pieces} />
        <Contents kit={kit} inside={inside} pieces={pieces} simulates={team.demo !== undefined} />
      </div>
    </div>
  );
}

function Wanted({ state: { kit, readiness }, pieces }: { readonly state: KitState; readonly pieces: readonly RegisterPiece[] }) {
  const byId = new Map(pieces.map((piece) => [piece.gear.gearId, piece]));
  return (
    <section>
      <h2 className="stitched pb-1.5 text-xl">Should hold</h2>
      {kit.wanted.length === 0 && (
        <p className="pt-2 text-quiet">No packing list yet. “Change” gives it one, from a terrain or line by line.</p>
      )}
      <ul>
        {readiness.lines.map((line, index) => (
          <Line key={index} line={line} kit={kit} byId={byId} />
        ))}
      </ul>
    </section>
  );
}

interface LineProps {
  readonly line: WantedLine;
  readonly kit: KitDetail;
  readonly byId: ReadonlyMap<string, RegisterPiece>;
}

const SUBSTITUTES_SHOWN = 3;

function Line({ line, kit, byId }: LineProps) {
  const { figure } = useFigures();
  const may = useMay();
  const [move, moving] = useMoveContentsMutation();
  const { wanted, filledBy, short, notFit, substitutes } = line;
  const tagOf = (id: string) => byId.get(id)?.gear.tag ?? '?';
  return (
    <li className="border-b border-rule py-2">
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <strong>{wantedWords(line)}</strong>
        {wanted.leastWllN !== undefined && <span className="text-quiet">each good for {figure(force(wanted.leastWllN))}</span>}
        <span className="ml-auto flex flex-wrap gap-1.5">
          {filledBy.map((id) => (
            <Link key={id} to={`/gear/${id}`}>
              <Tag code={tagOf(id)} />
            </Link>
          ))}
        </span>
      </p>
      {short > 0 && (
        <div className="mt-1 border-l-4 border-signal pl-3">
          <p className="text-amber-ink">
            Missing: {shortWords(line)}.{' '}
            {notFit.length > 0 && `${notFit.map(({ id, why }) => `${tagOf(id)} ${notFitWords[why]}`).join(', ')}.`}
          </p>
          {substitutes.length === 0 && <NoSubstitute ids={line.afterInspection} tagOf={tagOf} />}
          {substitutes.slice(0, SUBSTITUTES_SHOWN).map((id) => {
            const piece = byId.get(id);
            return (
              <p key={id} className="flex flex-wrap items-center gap-2 pt-1">
                <Tag code={tagOf(id)} /> {piece?.gear.name} <span className="text-quiet">{piece?.kit || 'in no kit'}</span>
                {may('whereabouts.write') && (
                  <button
                    type="button"
                    className="action"
                    disabled={moving.isLoading}
                    onClick={() => move({ kitId: kit.kitId, kitContents: { add: [id], remove: [] } })}
                  >
                    Put {tagOf(id)} in
                  </button>
                )}
              </p>
            );
          })}
        </div>
      )}
      <ProblemNote error={moving.error} />
    </li>
  );
}

/** Nothing fills the line as things stand; what would once it is inspected is a bench away. */
function NoSubstitute({ ids, tagOf }: { readonly ids: readonly string[]; readonly tagOf: (id: string) => string }) {
  const [first] = ids;
  if (first === undefined) return <p>Nothing in the register would do.</p>;
  return (
    <p className="flex flex-wrap items-center gap-2 pt-1">
      Nothing is fit to go in now. {ids.length === 1 ? `${tagOf(first)} would do` : `${ids.length} pieces would do`} if an inspection finds{' '}
      {ids.length === 1 ? 'it' : 'them'} in order (grade B or better):
      {ids.slice(0, SUBSTITUTES_SHOWN).map((id) => (
        <Link key={id} className="action" to={`/inspect?of=piece:${id}`}>
          Inspect {tagOf(id)}
        </Link>
      ))}
    </p>
  );
}

interface ContentsProps {
  readonly kit: KitDetail;
  readonly inside: readonly RegisterPiece[];
  readonly pieces: readonly RegisterPiece[];
  readonly simulates: boolean;
}

function Contents({ kit, inside, pieces, simulates }: ContentsProps) {
  const may = useMay();
  const [move, moving] = useMoveContentsMutation();
  const enter = (code: string): string | undefined => {
    const found = pieces.find(({ gear }) => gear.tag.toLowerCase() === code.toLowerCase());
    if (!found) return `No piece has the tag ${code}.`;
    if (found.gear.kitId === kit.kitId) return `${found.gear.tag} is in this kit already.`;
    move({ kitId: kit.kitId, kitContents: { add: [found.gear.gearId], remove: [] } });
    return undefined;
  };
  const next = pieces.find(({ gear }) => gear.state === 'in-use' && gear.kitId !== kit.kitId)?.gear.tag;
  return (
    <section>
      <h2 className="stitched pb-1.5 text-xl">
        Holds <span className="font-sans text-base font-normal text-quiet">{inside.length} pieces</span>
      </h2>
      {may('whereabouts.write') && (
        <div className="pt-2">
          <TagEntry label="Tag of a piece to put in" entered={enter} simulated={simulates ? next : undefined} />
        </div>
      )}
      <ProblemNote error={moving.error} />
      {inside.length === 0 && <p className="pt-2 text-quiet">The kit is empty. Enter the tag of what goes in.</p>}
      <ul>
        {inside.map(({ gear }) => (
          <li key={gear.gearId} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5">
            <Link to={`/gear/${gear.gearId}`} aria-label={`${gear.tag} ${gear.name}`}>
              <Tag code={gear.tag} />
            </Link>
            <span>{gear.name}</span>
            <span className="text-quiet">{gearClasses[gear.kind].label}</span>
            {gear.state !== 'in-use' && <strong className="text-rust">in quarantine</strong>}
            {gear.away && <span className="text-amber-ink">with {gear.away.holder}</span>}
            {may('whereabouts.write') && (
              <button
                type="button"
                className="action no-print ml-auto"
                aria-label={`Take ${gear.tag} out of the kit`}
                onClick={() => move({ kitId: kit.kitId, kitContents: { add: [], remove: [gear.gearId] } })}
              >
                Remove
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

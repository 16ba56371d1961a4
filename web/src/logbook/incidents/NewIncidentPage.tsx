import { type IncidentKind, incidentKinds, type TeamView } from '@wainrope/contract';
import { gearIdsOf } from '@wainrope/core';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { problemOf, useAddIncidentMutation, useGetPlanQuery } from '../../api/wainrope-api.ts';
import { TagEntry } from '../../fields/TagEntry.tsx';
import { type RegisterPiece, useRegister } from '../../register/use-register.ts';
import { FormProblem } from '../../shell/FormProblem.tsx';
import { faultsByPath } from '../../shell/faults-by-path.ts';
import { Labelled } from '../../shell/Labelled.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { emptyDraft, forgetDraft, type IncidentDraft, keepDraft, keptDraft } from './incident-draft.ts';
import { incidentWords } from './incident-words.ts';
import { LogTabs } from './LogTabs.tsx';

/** An incident or a near miss, written down in a minute; begun from a piece or a plan, that is named already. */
export function NewIncidentPage() {
  const { team, pieces, error, refetch } = useRegister();
  return (
    <div className="page max-w-[840px] pt-4 pb-28">
      <LogTabs title="What happened" />
      <ProblemNote error={error} retry={refetch} />
      {team && pieces ? <Writing team={team} pieces={pieces} /> : !error && <Loading what="the register" />}
    </div>
  );
}

interface WritingProps {
  readonly team: TeamView;
  readonly pieces: readonly RegisterPiece[];
}

/** The draft: each letter is kept on this device until the server has it; a link's piece and plan are put in. */
function useIncidentDraft(today: string, pieces: readonly RegisterPiece[]) {
  const [params] = useSearchParams();
  const [pieceId, planId] = [params.get('piece'), params.get('plan')];
  const { data: plan } = useGetPlanQuery({ planId: planId ?? '' }, { skip: planId === null });
  const [draft, setDraft] = useState<IncidentDraft>(() => keptDraft() ?? emptyDraft(today));
  const change = (part: Partial<IncidentDraft>) =>
    setDraft((before) => {
      const after = { ...before, ...part };
      keepDraft(after);
      return after;
    });
  useEffect(() => {
    const known = new Set(pieces.map(({ gear }) => gear.gearId));
    const named = [...(pieceId ? [pieceId] : []), ...(plan ? gearIdsOf(plan.rig) : [])].filter((gearId) => known.has(gearId));
    setDraft((before) => {
      const fresh = named.filter((gearId) => !before.pieces.some((piece) => piece.gearId === gearId));
      if (fresh.length === 0 && (planId === null || before.planId === planId)) return before;
      return {
        ...before,
        ...(planId && { planId }),
        pieces: [...before.pieces, ...fresh.map((gearId) => ({ gearId, takenOut: gearId === pieceId }))],
      };
    });
  }, [pieces, pieceId, plan, planId]);
  return { draft, change, plan };
}

function Writing({ team, pieces }: WritingProps) {
  const { draft, change, plan } = useIncidentDraft(team.today, pieces);
  const [add, { error, isLoading }] = useAddIncidentMutation();
  const navigate = useNavigate();
  const faults = faultsByPath(error && problemOf(error));
  const record = async () => {
    const { kind, planId, place, told, changed, ...rest } = draft;
    const answer = await add({
      incidentCreate: {
        ...rest,
        kind: kind as IncidentKind,
        ...(planId && { planId }),
        ...(place.trim() && { place: place.trim() }),
        ...(told.trim() && { told: told.trim() }),
        ...(changed.trim() && { changed: changed.trim() }),
      },
    });
    if (!answer.data) return;
    forgetDraft();
    navigate(`/log/incidents/${answer.data.incidentId}`);
  };
  return (
    // No form of its own: the field for tags is one, and forms do not stand in each other.
    <div className="space-y-4 pt-3 text-lg">
      <p className="border-l-4 border-rust bg-rust-wash px-4 py-2">
        First help anyone who is hurt, and call for help; keep everyone clear of anything still under load. Write it down after.
      </p>
      <fieldset>
        <legend>What was it?</legend>
        <div className="grid grid-cols-2 gap-2 pt-1 sm:grid-cols-3">
          {incidentKinds.map((kind) => (
            <button
              key={kind}
              type="button"
              className="action min-h-12 justify-start text-left"
              aria-pressed={draft.kind === kind}
              onClick={() => change({ kind })}
            >
              {incidentWords[kind]}
            </button>
          ))}
        </div>
        {faults.kind && <p className="text-rust">{faults.kind}</p>}
      </fieldset>
      <Labelled label="What happened" fault={faults.words}>
        <textarea rows={4} value={draft.words} onChange={(event) => change({ words: event.target.value })} />
      </Labelled>
      <div className="grid gap-4 sm:grid-cols-2">
        <Labelled label="Day" fault={faults.on}>
          <input type="date" max={team.today} value={draft.on} onChange={(event) => change({ on: event.target.value })} />
        </Labelled>
        <Labelled label="Where" fault={faults.place}>
          <input maxLength={200} value={draft.place} onChange={(event) => change({ place: event.target.value })} />
        </Labelled>
      </div>
      {plan && <p className="text-quiet">With the plan “{plan.name}”; its pieces are below. Take off those that had no part in it.</p>}
      <InIt draft={draft} change={change} pieces={pieces} simulates={team.demo !== undefined} fault={faults.pieces} />
      <Labelled label="Who was told: people of the team, the owner, an authority" fault={faults.told}>
        <input maxLength={500} value={draft.told} onChange={(event) => change({ told: event.target.value })} />
      </Labelled>
      <Labelled label="What is changed because of it, where that is known already" fault={faults.changed}>
        <textarea rows={2} value={draft.changed} onChange={(event) => change({ changed: event.target.value })} />
      </Labelled>
      <FormProblem error={error} shown={['kind', 'words', 'on', 'place', 'pieces', 'told', 'changed']} />
      <div className="fixed inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-paper max-[760px]:bottom-14">
        <div className="page max-w-[840px] flex items-center gap-4 py-2">
          <p className="min-w-0 flex-1 text-[15px] text-quiet">
            Pictures can be added next. What is written here stays on this device until it is sent.
          </p>
          <button
            type="button"
            className="action-main min-h-12 text-lg"
            onClick={() => void record()}
            disabled={isLoading || draft.kind === '' || draft.words.trim().length < 3}
          >
            Record it
          </button>
        </div>
      </div>
    </div>
  );
}

interface InItProps {
  readonly draft: IncidentDraft;
  readonly change: (part: Partial<IncidentDraft>) => void;
  readonly pieces: readonly RegisterPiece[];
  readonly simulates: boolean;
  readonly fault: string | undefined;
}

/** Pieces that were in it; each goes out of use unless somebody says that it need not. */
function InIt({ draft, change, pieces, simulates, fault }: InItProps) {
  const of = new Map(pieces.map(({ gear }) => [gear.gearId, gear]));
  const entered = (code: string): string | undefined => {
    const gear = pieces.find(({ gear: { tag } }) => tag.toLowerCase() === code.toLowerCase())?.gear;
    if (!gear) return `No piece has the tag ${code}.`;
    if (!draft.pieces.some(({ gearId }) => gearId === gear.gearId))
      change({ pieces: [...draft.pieces, { gearId: gear.gearId, takenOut: true }] });
    return undefined;
  };
  const simulated = simulates
    ? pieces.find(({ gear }) => gear.state === 'in-use' && !draft.pieces.some(({ gearId }) => gearId === gear.gearId))
    : undefined;
  return (
    <section aria-label="Pieces that were in it">
      <TagEntry label="Tag of a piece that was in it" entered={entered} simulated={simulated?.gear.tag} />
      {fault && <p className="text-rust">{fault}</p>}
      <ul>
        {draft.pieces.map(({ gearId, takenOut }) => {
          const gear = of.get(gearId);
          if (!gear) return null;
          return (
            <li key={gearId} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-1.5">
              <Tag code={gear.tag} />
              <span className="min-w-0 flex-1">{gear.name}</span>
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  checked={takenOut}
                  disabled={gear.state !== 'in-use'}
                  onChange={(event) =>
                    change({
                      pieces: draft.pieces.map((piece) => (piece.gearId === gearId ? { gearId, takenOut: event.target.checked } : piece)),
                    })
                  }
                />
                {gear.state === 'in-use' ? 'out of use at once' : 'out of use already'}
              </label>
              <button
                type="button"
                className="action"
                aria-label={`${gear.tag} had no part in it`}
                onClick={() => change({ pieces: draft.pieces.filter((piece) => piece.gearId !== gearId) })}
              >
                ×
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

import { type HolderKind, holderKinds } from '@wainrope/contract';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { problemOf, useCheckOutMutation, useListPeopleQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { named } from '../fields/named.ts';
import { TagEntry } from '../fields/TagEntry.tsx';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Tag } from '../shell/Tag.tsx';

const holderWords: { readonly [K in HolderKind]: string } = { person: 'A person', vehicle: 'A vehicle', outside: 'Outside the team' };

interface Typed {
  readonly name: string;
  readonly holderKind: HolderKind;
  readonly holderId: string;
  readonly holderName: string;
  readonly dueBackOn: string;
}
const NOTHING: Typed = { name: '', holderKind: 'person', holderId: '', holderName: '', dueBackOn: '' };

/** What goes, with whom and until when; a kit that a link names goes whole, as far as it is here and in use. */
function useCheckOut() {
  const { pieces, team } = useRegister();
  const [params] = useSearchParams();
  const taking = params.get('take') ?? '';
  const first = useMemo(
    () =>
      taking.startsWith('kit:')
        ? (pieces ?? [])
            .filter(({ gear }) => gear.kitId === taking.slice(4) && gear.state === 'in-use' && !gear.away)
            .map(({ gear }) => gear.gearId)
        : [],
    [taking, pieces],
  );
  const [chosen, setChosen] = useState<readonly string[]>();
  const [form, setForm] = useState<Typed>(NOTHING);
  const [send, { error, isLoading }] = useCheckOutMutation();
  const navigate = useNavigate();
  const gearIds = chosen ?? first;
  const kit = team?.kits.find(({ kitId }) => taking === `kit:${kitId}`)?.name;
  const name = form.name || (kit ? `${kit}, taken out` : '');
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const checkOut = async () => {
    const { holderKind, holderId, holderName, dueBackOn } = form;
    const holder = holderKind === 'outside' ? { ...(holderName && { holderName }) } : { ...(holderId && { holderId }) };
    const answer = await send({
      outingCreate: { outingId: crypto.randomUUID(), name, holderKind, gearIds: [...gearIds], ...holder, ...(dueBackOn && { dueBackOn }) },
    });
    if (answer.data) navigate(`/outings/${answer.data.outingId}`);
  };
  return { pieces, team, gearIds, setChosen, form, set, name, checkOut, error, isLoading };
}

/** Takes pieces out together. */
export function CheckOut() {
  const { pieces, team, gearIds, setChosen, form, set, name, checkOut, error, isLoading } = useCheckOut();
  const faults = faultsByPath(error && problemOf(error));
  return (
    <section className="pt-6">
      <h2 className="stitched pb-1.5 text-xl">Check out</h2>
      <div className="grid items-start gap-3 pt-3 sm:grid-cols-4">
        <Labelled label="What for" fault={faults.name}>
          <input value={name} onChange={(event) => set({ name: event.target.value })} />
        </Labelled>
        <Holder form={form} set={set} faults={faults} />
        <Labelled label="Due back" fault={faults.dueBackOn}>
          <input type="date" value={form.dueBackOn} onChange={(event) => set({ dueBackOn: event.target.value })} />
        </Labelled>
      </div>
      {pieces ? (
        <Chosen pieces={pieces} gearIds={gearIds} change={setChosen} simulates={team?.demo !== undefined} />
      ) : (
        // A tag that is looked up before the register is there would be called unknown.
        <p className="pt-3 text-quiet">Reading the register…</p>
      )}
      {faults.gearIds && (
        <p role="alert" className="text-rust">
          {problemOf(error)
            .faults?.filter(({ path }) => path === 'gearIds')
            .map(({ message }) => message)
            .join(' ')}
        </p>
      )}
      <FormProblem error={error} shown={['name', 'holderId', 'holderName', 'dueBackOn', 'gearIds']} />
      <button type="button" className="action-main mt-3" disabled={isLoading || gearIds.length === 0} onClick={checkOut}>
        Check out {gearIds.length} {gearIds.length === 1 ? 'piece' : 'pieces'}
      </button>
    </section>
  );
}

interface HolderProps {
  readonly form: Typed;
  readonly set: (change: Partial<Typed>) => void;
  readonly faults: { readonly [path: string]: string };
}

/** Who has them: a person, a vehicle, or somebody outside the team. */
function Holder({ form, set, faults }: HolderProps) {
  const { team } = useRegister();
  const { data: people } = useListPeopleQuery();
  const names =
    form.holderKind === 'person'
      ? (people?.items ?? []).filter(({ left }) => !left).map(({ personId, name }) => [personId, name] as const)
      : (team?.vehicles ?? []).map(({ vehicleId, name }) => [vehicleId, name] as const);
  return (
    <>
      <Choice
        label="With"
        value={form.holderKind}
        options={holderKinds}
        words={(kind) => holderWords[kind]}
        onChange={(holderKind) => set({ holderKind, holderId: '' })}
      />
      {form.holderKind === 'outside' ? (
        <Labelled label="Who borrows it" fault={faults.holderName}>
          <input value={form.holderName} onChange={(event) => set({ holderName: event.target.value })} />
        </Labelled>
      ) : (
        <Choice
          label={form.holderKind === 'person' ? 'Which person' : 'Which vehicle'}
          value={form.holderId}
          {...named(names)}
          onChange={(holderId) => set({ holderId })}
          fault={faults.holderId}
        />
      )}
    </>
  );
}

interface ChosenProps {
  readonly pieces: readonly RegisterPiece[];
  readonly gearIds: readonly string[];
  readonly change: (gearIds: readonly string[]) => void;
  readonly simulates: boolean;
}

/** The pieces that go, entered by tag. */
function Chosen({ pieces, gearIds, change, simulates }: ChosenProps) {
  const enter = (code: string): string | undefined => {
    const found = pieces.find(({ gear }) => gear.tag.toLowerCase() === code.toLowerCase())?.gear;
    if (!found) return `No piece has the tag ${code}.`;
    if (found.state !== 'in-use') return `${found.tag} is ${found.state} and must not go out.`;
    if (found.away) return `${found.tag} is out already, with ${found.away.holder}.`;
    if (!gearIds.includes(found.gearId)) change([...gearIds, found.gearId]);
    return undefined;
  };
  const next = pieces.find(({ gear }) => gear.state === 'in-use' && !gear.away && !gearIds.includes(gear.gearId))?.gear.tag;
  return (
    <div className="pt-3">
      <TagEntry label="Tag of a piece that goes" entered={enter} simulated={simulates ? next : undefined} />
      <ul className="flex flex-wrap gap-2 pt-2">
        {gearIds.map((id) => {
          const gear = pieces.find((piece) => piece.gear.gearId === id)?.gear;
          return (
            <li key={id}>
              <button
                type="button"
                title="Leave it here"
                aria-label={`Leave ${gear?.tag} here`}
                onClick={() => change(gearIds.filter((entry) => entry !== id))}
                className="flex items-center gap-1"
              >
                <Tag code={gear?.tag ?? '?'} /> <span aria-hidden="true">×</span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

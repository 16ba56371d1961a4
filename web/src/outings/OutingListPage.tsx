import { type HolderKind, holderKinds, type OutingView } from '@wainrope/contract';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useCheckOutMutation, useListOutingsQuery, useListPeopleQuery } from '../api/wainrope-api.ts';
import { TagEntry } from '../fields/TagEntry.tsx';
import { type RegisterPiece, useRegister } from '../gear/use-register.ts';
import { KitTabs } from '../kits/KitTabs.tsx';
import { moment } from '../shell/days.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';

/** What is out, with whom; and taking more out. */
export function OutingListPage() {
  const { data, error, refetch } = useListOutingsQuery();
  const { team } = useRegister();
  const may = useMay();
  const items = data?.items ?? [];
  const open = items.filter(({ closedAt }) => closedAt === undefined);
  const closed = items.filter(({ closedAt }) => closedAt !== undefined);
  return (
    <div className="mx-auto w-full max-w-[1180px] px-3 py-4 sm:px-5">
      <KitTabs title="Out and back" />
      <ProblemNote error={error} retry={refetch} />
      {data && open.length === 0 && <p className="py-4 text-quiet">Everything is in.</p>}
      <ul aria-label="Out now">
        {open.map((outing) => (
          <OutingRow key={outing.outingId} outing={outing} today={team?.today ?? ''} />
        ))}
      </ul>
      {may('whereabouts.write') && <CheckOut />}
      {closed.length > 0 && (
        <>
          <h2 className="stitched mt-8 pb-1.5 text-xl">Came back</h2>
          <ul>
            {closed.map((outing) => (
              <OutingRow key={outing.outingId} outing={outing} today={team?.today ?? ''} />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function OutingRow({ outing, today }: { readonly outing: OutingView; readonly today: string }) {
  const away = outing.pieces.filter(({ backAt }) => backAt === undefined).length;
  const late = outing.closedAt === undefined && outing.dueBackOn !== undefined && outing.dueBackOn < today;
  return (
    <li className="border-b border-rule">
      <Link
        to={`/outings/${outing.outingId}`}
        className="grid items-center gap-x-5 gap-y-0.5 px-1 py-2 hover:bg-sheet sm:grid-cols-[1.4fr_1fr_1fr_auto]"
      >
        <strong>{outing.name}</strong>
        <span>{outing.holder}</span>
        <span className={late ? 'font-semibold text-rust' : 'text-quiet'}>
          {outing.closedAt
            ? `closed ${moment(outing.closedAt)}`
            : outing.dueBackOn
              ? `${late ? 'was due back' : 'due back'} ${outing.dueBackOn}`
              : `since ${moment(outing.outAt)}`}
        </span>
        <span className={outing.missingNote ? 'text-amber-ink' : 'text-quiet'}>
          {outing.closedAt ? (away > 0 ? `${away} missing` : 'all back') : `${away} of ${outing.pieces.length} out`}
        </span>
      </Link>
    </li>
  );
}

const holderWords: { readonly [K in HolderKind]: string } = { person: 'A person', vehicle: 'A vehicle', outside: 'Outside the team' };

function CheckOut() {
  const { pieces, team } = useRegister();
  const { data: people } = useListPeopleQuery();
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
  const [form, setForm] = useState({ name: '', holderKind: 'person' as HolderKind, holderId: '', holderName: '', dueBackOn: '' });
  const [checkOut, { error, isLoading }] = useCheckOutMutation();
  const navigate = useNavigate();
  const faults = faultsByPath(error && problemOf(error));
  const gearIds = chosen ?? first;
  const kit = team?.kits.find(({ kitId }) => taking === `kit:${kitId}`)?.name;
  const name = form.name || (kit ? `${kit}, taken out` : '');
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const submit = async () => {
    const { holderKind, holderId, holderName, dueBackOn } = form;
    const holder = holderKind === 'outside' ? { ...(holderName && { holderName }) } : { ...(holderId && { holderId }) };
    const answer = await checkOut({
      outingCreate: { outingId: crypto.randomUUID(), name, holderKind, gearIds: [...gearIds], ...holder, ...(dueBackOn && { dueBackOn }) },
    });
    if (answer.data) navigate(`/outings/${answer.data.outingId}`);
  };
  return (
    <section className="pt-6">
      <h2 className="stitched pb-1.5 text-xl">Take out</h2>
      <div className="grid items-start gap-3 pt-3 sm:grid-cols-4">
        <Labelled label="What for" fault={faults.name}>
          <input value={name} onChange={(event) => set({ name: event.target.value })} />
        </Labelled>
        <Labelled label="With">
          <select value={form.holderKind} onChange={(event) => set({ holderKind: event.target.value as HolderKind, holderId: '' })}>
            {holderKinds.map((kind) => (
              <option key={kind} value={kind}>
                {holderWords[kind]}
              </option>
            ))}
          </select>
        </Labelled>
        {form.holderKind === 'outside' ? (
          <Labelled label="Who borrows it" fault={faults.holderName}>
            <input value={form.holderName} onChange={(event) => set({ holderName: event.target.value })} />
          </Labelled>
        ) : (
          <Labelled label={form.holderKind === 'person' ? 'Which person' : 'Which vehicle'} fault={faults.holderId}>
            <select value={form.holderId} onChange={(event) => set({ holderId: event.target.value })}>
              <option value="">Choose…</option>
              {form.holderKind === 'person'
                ? people?.items
                    .filter(({ left }) => !left)
                    .map((person) => <Option key={person.personId} id={person.personId} name={person.name} />)
                : team?.vehicles.map((vehicle) => <Option key={vehicle.vehicleId} id={vehicle.vehicleId} name={vehicle.name} />)}
            </select>
          </Labelled>
        )}
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
      <button type="button" className="action-main mt-3" disabled={isLoading || gearIds.length === 0} onClick={submit}>
        Check out {gearIds.length} {gearIds.length === 1 ? 'piece' : 'pieces'}
      </button>
    </section>
  );
}

const Option = ({ id, name }: { readonly id: string; readonly name: string }) => <option value={id}>{name}</option>;

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

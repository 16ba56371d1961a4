import { dueOf, type PieceDue } from '@wainrope/contract';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { Choice } from '../fields/Choice.tsx';
import { useRegister } from '../register/use-register.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useAddress } from '../shell/use-address.ts';
import { type DuePiece, DueRows, peopleOf, soonestFirst } from './DueRows.tsx';
import { InspectTabs } from './InspectTabs.tsx';

const GROUPS: readonly { readonly times: readonly PieceDue['time'][]; readonly title: string }[] = [
  { times: ['overdue', 'never'], title: 'Overdue' },
  { times: ['this-week'], title: 'This week' },
  { times: ['this-month'], title: 'This month' },
  { times: ['later'], title: 'Later' },
  { times: ['none'], title: 'No day set' },
];

/** What wants inspecting, soonest first, by kit or by person. */
export function DuePage() {
  const { pieces, team, error, refetch } = useRegister();
  const may = useMay();
  const { params, put: set } = useAddress();
  const kit = params.get('kit') ?? '';
  const person = params.get('person') ?? '';
  const wanted = (pieces ?? []).filter(({ gear }) => gear.state !== 'retired');
  const due = wanted
    .filter((piece) => (!kit || piece.kit === kit) && (!person || peopleOf(piece).includes(person)))
    .map((piece): DuePiece => ({ piece, due: dueOf(piece.gear, team?.today ?? '') }))
    .sort(soonestFirst);
  const kits = [...new Set(wanted.map((piece) => piece.kit).filter(Boolean))].sort();
  const people = [...new Set(wanted.flatMap(peopleOf))].sort();
  return (
    <div className="page py-4">
      <InspectTabs title="Due" />
      <ProblemNote error={error} retry={refetch} />
      {!pieces && !error && <Loading what="what is due" />}
      <div className="no-print flex flex-wrap gap-3 py-3">
        <Filter label="Kit" value={kit} options={kits} set={(value) => set('kit', value)} />
        <Filter label="Person" value={person} options={people} set={(value) => set('person', value)} />
      </div>
      {GROUPS.map(({ times, title }) => (
        <Group key={title} title={title} entries={due.filter((entry) => times.includes(entry.due.time))} />
      ))}
      {pieces && due.length === 0 && wanted.length > 0 && <p className="py-10 text-center text-lg">Nothing fits this choice.</p>}
      {pieces && wanted.length === 0 && (
        <EmptyPage of="days" words="No piece is in use.">
          Each piece of the register stands here with the day on which its next inspection is due.{' '}
          {may('gear.write') && (
            <Link className="underline" to="/gear/new">
              Add a piece
            </Link>
          )}
        </EmptyPage>
      )}
    </div>
  );
}

function Filter({
  label,
  value,
  options,
  set,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly string[];
  readonly set: (value: string) => void;
}) {
  return (
    <div className="w-52">
      <Choice
        label={label}
        labelIsHidden
        value={value}
        options={['', ...options]}
        words={(option) => option || `${label}: all`}
        onChange={set}
      />
    </div>
  );
}

function Group({ title, entries }: { readonly title: string; readonly entries: readonly DuePiece[] }) {
  if (entries.length === 0) return null;
  return (
    <section aria-label={title} className="pt-2 pb-3">
      <h2 className="stitched pb-1.5 text-xl">
        {title} <span className="font-sans text-base font-normal text-quiet">{entries.length}</span>
      </h2>
      <DueRows entries={entries} />
    </section>
  );
}

import { dueOf, type PieceDue } from '@wainrope/contract';
import { Link } from 'react-router';
import { Choice } from '../fields/Choice.tsx';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { day, withDays } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useAddress } from '../shell/use-address.ts';
import { InspectTabs } from './InspectTabs.tsx';

const GROUPS: readonly { readonly times: readonly PieceDue['time'][]; readonly title: string }[] = [
  { times: ['overdue', 'never'], title: 'Overdue' },
  { times: ['this-week'], title: 'This week' },
  { times: ['this-month'], title: 'This month' },
  { times: ['later'], title: 'Later' },
  { times: ['none'], title: 'No day set' },
];

interface DuePiece {
  readonly piece: RegisterPiece;
  readonly due: PieceDue;
}

/** Whose a piece is, and who has it now. */
const peopleOf = ({ gear }: RegisterPiece): readonly string[] => [
  ...new Set([gear.owner, gear.away?.holder].filter((name) => name !== undefined)),
];

/** What wants inspecting, soonest first, by kit or by person. */
export function DuePage() {
  const { pieces, team, error, refetch } = useRegister();
  const { params, put: set } = useAddress();
  const kit = params.get('kit') ?? '';
  const person = params.get('person') ?? '';
  const wanted = (pieces ?? []).filter(({ gear }) => gear.state !== 'retired');
  const due = wanted
    .filter((piece) => (!kit || piece.kit === kit) && (!person || peopleOf(piece).includes(person)))
    .map((piece): DuePiece => ({ piece, due: dueOf(piece.gear, team?.today ?? '') }))
    .sort((a, b) => (a.due.on ?? '').localeCompare(b.due.on ?? ''));
  const kits = [...new Set(wanted.map((piece) => piece.kit).filter(Boolean))].sort();
  const people = [...new Set(wanted.flatMap(peopleOf))].sort();
  return (
    <div className="mx-auto w-full max-w-[1180px] px-3 py-4 sm:px-5">
      <InspectTabs title="Due" />
      <ProblemNote error={error} retry={refetch} />
      <div className="no-print flex flex-wrap gap-3 py-3">
        <Filter label="Kit" value={kit} options={kits} set={(value) => set('kit', value)} />
        <Filter label="Person" value={person} options={people} set={(value) => set('person', value)} />
      </div>
      {GROUPS.map(({ times, title }) => (
        <Group
          key={title}
          title={title}
          entries={due.filter((entry) => times.includes(entry.due.time))}
          urgent={times.includes('overdue')}
        />
      ))}
      {pieces && due.length === 0 && <p className="py-10 text-center text-lg">Nothing fits this choice.</p>}
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

function Group({ title, entries, urgent }: { readonly title: string; readonly entries: readonly DuePiece[]; readonly urgent: boolean }) {
  if (entries.length === 0) return null;
  return (
    <section aria-label={title} className="pt-2 pb-3">
      <h2 className="stitched pb-1.5 text-xl">
        {title} <span className="font-sans text-base font-normal text-quiet">{entries.length}</span>
      </h2>
      <ul>
        {entries.map(({ piece, due }) => (
          <li
            key={piece.gear.gearId}
            className="grid items-center gap-x-4 gap-y-0.5 border-b border-rule py-1.5 sm:grid-cols-[6rem_1.5fr_1.2fr_1.2fr_auto]"
          >
            <Link to={`/gear/${piece.gear.gearId}`} aria-label={`${piece.gear.tag} ${piece.gear.name}`}>
              <Tag code={piece.gear.tag} />
            </Link>
            <span>{piece.gear.name}</span>
            <span className="text-quiet">{[piece.kit, ...peopleOf(piece)].filter(Boolean).join(', ')}</span>
            <span className={urgent ? 'font-semibold text-rust' : ''}>
              {due.on && day(due.on)} <span className={due.on ? 'font-normal text-quiet' : ''}>{withDays(due.why)}</span>
            </span>
            <Link className="action no-print" to={`/inspect?of=piece:${piece.gear.gearId}`}>
              Inspect
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

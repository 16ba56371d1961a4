import {
  bodyOfUse,
  type Edit,
  force,
  isTeamsLastResort,
  type PieceUse,
  type PointKind,
  type Policy,
  type Rig,
  type Schools,
  unmarkedPoint,
} from '@wainrope/core';
import { useState } from 'react';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { Choice } from '../../fields/Choice.tsx';
import type { RegisterPiece } from '../../register/use-register.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { judgedPointEdits, type MarkedPoint, markedOn, markedPoint } from './judged-point-edits.ts';

interface UnregisteredPointProps {
  readonly rig: Rig;
  readonly use: PieceUse;
  readonly policy: Policy;
  readonly pieces: readonly RegisterPiece[];
  readonly apply: (edits: readonly Edit[]) => void;
  readonly close: () => void;
}

const KINDS = ['marked', 'factory-hook'] as const;
const KIND_WORDS: { readonly [K in (typeof KINDS)[number]]: string } = {
  marked: 'a recovery point with a mark to read',
  'factory-hook': 'a hook of the maker, fixed to the frame, without a mark',
};

const NEVER: readonly (readonly [kind: PointKind, words: string])[] = [
  ['tow-ball', 'tow balls'],
  ['receiver-pin', 'receivers’ cross-pins'],
  ['safety-chain-hole', 'safety-chain holes'],
  ['bumper-or-bar-hole', 'bumper and bar holes'],
  ['axle-tube', 'axle tubes'],
  ['thin-arm', 'thin arms'],
];

/** What this team never pulls on. */
const neverWords = (schools: Schools): string =>
  NEVER.flatMap(([kind, words]) => (isTeamsLastResort(kind, schools) ? [] : [words])).join(', ');

/** A point of a vehicle that is in no register: what it is, what it is trusted with, and who answers for that. */
export function UnregisteredPoint({ rig, use, policy, pieces, apply, close }: UnregisteredPointProps) {
  const { figure } = useFigures();
  const { data: team } = useGetTeamQuery();
  const [kind, setKind] = useState<(typeof KINDS)[number]>('marked');
  const [label, setLabel] = useState('');
  const [mark, setMark] = useState('');
  const [person, setPerson] = useState(team?.actor.name ?? '');
  const body = bodyOfUse(rig, use.id);
  if (body?.kind !== 'vehicle') return null;
  const limit: MarkedPoint =
    kind === 'marked'
      ? markedPoint(mark, policy, team?.decimalMark ?? '.')
      : { kind: 'limit', ...unmarkedPoint('factory-hook', body.massKg, policy, markedOn(rig, body.id, use.id, pieces)) };
  const reason = kind === 'marked' ? `marked ${mark.trim()}` : 'frame-fixed factory hook without a mark, by the vehicle’s weight';
  const ready = limit.kind === 'limit' && person.trim() !== '' && team !== undefined;
  const hook = () => {
    if (limit.kind !== 'limit' || !team) return;
    const { workingN, failingN } = limit;
    const judged = { workingN, failingN, person: person.trim(), on: team.today, reason };
    apply(judgedPointEdits(rig, use, label, judged, kind === 'factory-hook' ? 'factory-hook' : undefined));
    close();
  };
  return (
    <li className="border-b border-rule py-2" data-unregistered-point>
      <details>
        <summary className="min-h-8 cursor-pointer font-semibold">A point of {body.label} that is not in the register</summary>
        <div className="grid gap-x-3 gap-y-2 py-2 sm:grid-cols-2">
          <Choice label="What it is" value={kind} options={KINDS} words={(option) => KIND_WORDS[option]} onChange={setKind} />
          <label className="block text-[15px]">
            Where it is
            <input value={label} maxLength={80} placeholder="front, left" onChange={(event) => setLabel(event.target.value)} />
          </label>
          {kind === 'marked' && (
            <label className="block text-[15px]">
              Its mark, as it stands there
              <input value={mark} placeholder="WLL 4 t" className="font-mono" onChange={(event) => setMark(event.target.value)} />
            </label>
          )}
          <label className="block text-[15px]">
            Who answers for it
            <input value={person} maxLength={80} onChange={(event) => setPerson(event.target.value)} />
          </label>
          <p className="text-[15px] sm:col-span-2" aria-live="polite">
            {limit.kind === 'limit' ? (
              <>
                Trusted with <strong>{figure(force(limit.workingN))}</strong>, fails at {figure(force(limit.failingN))}.
              </>
            ) : (
              <span className={mark.trim() === '' ? 'text-quiet' : 'text-rust'}>
                {mark.trim() === '' ? 'Type the mark to see what it means.' : limit.message}
              </span>
            )}
          </p>
          <p className="text-[15px] text-rust sm:col-span-2">
            Never: {neverWords(policy.schools)}; a tie-down eye only for a rolling vehicle.
          </p>
        </div>
        <button type="button" className="action" disabled={!ready} onClick={hook}>
          Hook up here
        </button>
      </details>
    </li>
  );
}

import { type DecimalMark, parseQuantity } from '@wainrope/core';
import { type FormEvent, useId, useState } from 'react';
import { useFigures } from '../../shell/use-figures.ts';

export interface Stated {
  readonly forcesN: readonly number[];
  readonly person: string;
  readonly reason: string;
}

interface StatedForceProps {
  readonly summary: string;
  /** What each figure is called. */
  readonly labels: readonly string[];
  readonly withReason: boolean;
  readonly decimal: DecimalMark;
  readonly actor: string;
  /** What stands now, in words; undefined where nothing was stated. */
  readonly standing: string | undefined;
  readonly state: (stated: Stated) => void;
  readonly takeBack: () => void;
}

/** A figure that a named person answers for, kept with the reason. */
export function StatedForce({ summary, labels, withReason, decimal, actor, standing, state, takeBack }: StatedForceProps) {
  const [figures, setFigures] = useState<readonly string[]>(labels.map(() => ''));
  const [person, setPerson] = useState(actor);
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<string>();
  const faultId = useId();
  const { units } = useFigures();
  const example = units === 'kN' ? '25 kN' : units === 't' ? '2.5 t' : '5 600 lbf';
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = figures.map((text) => parseQuantity(text, { dimension: 'force', decimal }));
    const bad = read.find((entry) => entry.kind !== 'understood');
    if (bad) return setFault(bad.kind === 'fault' ? bad.message : 'Which ton? Write tonne, short ton or long ton.');
    if (person.trim() === '') return setFault('Name the person who answers for it.');
    if (withReason && reason.trim() === '') return setFault('Say why, in a few words.');
    setFault(undefined);
    state({
      forcesN: read.map((entry) => (entry.kind === 'understood' ? entry.reading.valueSi : 0)),
      person: person.trim(),
      reason: reason.trim(),
    });
  };
  return (
    <details className="border-b border-rule py-1 text-[15px]" open={standing !== undefined}>
      <summary className="cursor-pointer py-1 font-semibold">{summary}</summary>
      {standing === undefined ? (
        <form onSubmit={submit} className="grid grid-cols-2 gap-2 pb-2" aria-describedby={faultId}>
          {labels.map((label, index) => (
            <label key={label}>
              {label}
              <input
                value={figures[index]}
                placeholder={example}
                onChange={(event) => setFigures(figures.map((text, place) => (place === index ? event.target.value : text)))}
              />
            </label>
          ))}
          <label>
            Person
            <input value={person} maxLength={200} onChange={(event) => setPerson(event.target.value)} />
          </label>
          {withReason && (
            <label className="col-span-2">
              Reason
              <input value={reason} maxLength={200} onChange={(event) => setReason(event.target.value)} />
            </label>
          )}
          <p id={faultId} role="alert" className="col-span-2 text-rust empty:hidden">
            {fault}
          </p>
          <button type="submit" className="action justify-self-start">
            State it
          </button>
        </form>
      ) : (
        <p className="flex items-center gap-3 pb-2">
          <span>{standing}</span>
          <button type="button" className="action ml-auto" onClick={takeBack}>
            Take back
          </button>
        </p>
      )}
    </details>
  );
}

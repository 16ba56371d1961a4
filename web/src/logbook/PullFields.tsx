import { FormButtons } from '../shell/FormButtons.tsx';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';

/** What every record of a pull asks: when, how many, whether the winch stalled, a remark. */
interface TypedPull {
  readonly on: string;
  readonly pulls: string;
  readonly stalled: boolean;
  readonly note: string;
}

interface FieldsProps {
  readonly typed: TypedPull;
  readonly set: (change: Partial<TypedPull>) => void;
}

export function DayAndPulls({ typed, set, today }: FieldsProps & { readonly today: string }) {
  return (
    <>
      <Labelled label="Day">
        <input type="date" max={today} value={typed.on} onChange={(event) => set({ on: event.target.value })} />
      </Labelled>
      <Labelled label="Pulls alike">
        <input inputMode="numeric" value={typed.pulls} onChange={(event) => set({ pulls: event.target.value })} />
      </Labelled>
    </>
  );
}

interface WordsProps {
  readonly stalled: string;
  readonly remark: string;
}

export function StallAndRemark({ typed, set, words }: FieldsProps & { readonly words: WordsProps }) {
  return (
    <>
      <label className="flex items-center gap-3">
        <input type="checkbox" checked={typed.stalled} onChange={(event) => set({ stalled: event.target.checked })} />
        {words.stalled}
      </label>
      <Labelled label={words.remark}>
        <input maxLength={500} value={typed.note} onChange={(event) => set({ note: event.target.value })} />
      </Labelled>
    </>
  );
}

interface EndProps {
  readonly fault: string | undefined;
  readonly error: unknown;
  readonly busy: boolean;
  readonly words: string;
  readonly cancel: () => void;
}

/** What stands in the way, and the buttons. */
export function FormEnd({ fault, error, busy, words, cancel }: EndProps) {
  return (
    <>
      {fault && (
        <p role="alert" className="text-rust">
          {fault}
        </p>
      )}
      <ProblemNote error={error} />
      <FormButtons words={words} busy={busy} cancel={cancel} />
    </>
  );
}

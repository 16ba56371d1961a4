import { type InspectionSheet, type PointAnswer, pointAnswers } from '@wainrope/core';
import { answerWords } from './inspection-words.ts';

interface PointRowProps {
  readonly point: InspectionSheet['points'][number];
  readonly answer: PointAnswer | undefined;
  readonly note: string;
  readonly answered: (answer: PointAnswer) => void;
  readonly noted: (note: string) => void;
}

const chosenLook: { readonly [A in PointAnswer]: string } = {
  ok: 'bg-moss text-sheet border-moss',
  worn: 'bg-signal text-on-signal border-ink',
  fails: 'bg-rust text-on-rust border-rust',
};

/** A thing to look at with its three answers, large enough for wet fingers. Arrow keys move between rows, O, W and F answer. */
export function PointRow({ point, answer, note, answered, noted }: PointRowProps) {
  return (
    <fieldset data-point={point.id} className="border-b border-rule py-2">
      <div className="grid items-center gap-x-4 gap-y-1.5 sm:grid-cols-[1fr_auto]">
        <legend className="float-left text-lg">
          {point.look}
          {point.immediate && <span className="block text-[14px] text-quiet">a fault takes it out of use at once</span>}
        </legend>
        <div className="grid grid-cols-3 gap-1.5">
          {pointAnswers.map((entry) => (
            <button
              key={entry}
              type="button"
              aria-pressed={answer === entry}
              onClick={() => answered(entry)}
              className={`min-h-12 min-w-24 border-[1.5px] px-3 text-lg font-semibold ${answer === entry ? chosenLook[entry] : 'border-quiet bg-sheet text-ink'}`}
            >
              {answerWords[entry]}
            </button>
          ))}
        </div>
      </div>
      {answer !== undefined && answer !== 'ok' && (
        <input
          className="mt-1.5"
          aria-label={`What was found: ${point.look}`}
          placeholder="What was found, and where"
          maxLength={500}
          value={note}
          onChange={(event) => noted(event.target.value)}
        />
      )}
    </fieldset>
  );
}

import {
  basisWords,
  type DecimalMark,
  force,
  type GearClass,
  gearClasses,
  markBases,
  markSources,
  parseMark,
  sourceWords,
  tonUnits,
} from '@wainrope/core';
import { Plus, X } from 'lucide-react';
import { type Control, type UseFormRegister, type UseFormSetValue, useFieldArray, useWatch } from 'react-hook-form';
import { Chosen } from '../fields/Chosen.tsx';
import { useFigures } from '../shell/use-figures.ts';
import type { GearFormValues } from './gear-form-values.ts';

interface MarkFieldsProps {
  readonly control: Control<GearFormValues>;
  readonly register: UseFormRegister<GearFormValues>;
  readonly setValue: UseFormSetValue<GearFormValues>;
  readonly decimal: DecimalMark;
  readonly kind: GearClass | '';
  readonly faults: { readonly [path: string]: string };
}

/** Ratings typed as they stand on the tag, each shown back as understood while it is typed. */
export function MarkFields({ control, register, setValue, decimal, kind, faults }: MarkFieldsProps) {
  const byRatedPull = kind !== '' && gearClasses[kind].use === 'winch';
  const { fields, append, remove } = useFieldArray({ control, name: 'marks' });
  return (
    <fieldset>
      <legend className="font-head text-xl font-semibold">What is marked on it</legend>
      <p className="text-quiet">Type each rating as it stands: 6.5 t WLL, MBS 31 700 lb, 13 ton.</p>
      <ul className="mt-2 space-y-3">
        {fields.map((field, index) => (
          <li key={field.id} className="stitched pb-3">
            <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.6fr_1.4fr_1.2fr_auto]">
              <label className="col-span-2 sm:col-span-1">
                Mark {index + 1}
                <input
                  {...register(`marks.${index}.asWritten`)}
                  className="font-mono"
                  aria-invalid={faults[`marks[${index}].asWritten`] !== undefined}
                  aria-describedby={`mark-${index}-understood`}
                  autoComplete="off"
                />
              </label>
              <Chosen
                control={control}
                name={`marks.${index}.basis`}
                label="It means"
                options={['', ...markBases.filter((basis) => (basis === 'rated-pull') === byRatedPull || basis === 'unstated')]}
                words={(basis) => (basis === '' ? 'as the words say' : basisWords[basis])}
              />
              <Chosen
                control={control}
                name={`marks.${index}.source`}
                label="Source"
                options={markSources}
                words={(source) => sourceWords[source]}
              />
              <button type="button" className="action" onClick={() => remove(index)} aria-label={`Remove mark ${index + 1}`}>
                <X size={17} aria-hidden="true" />
              </button>
            </div>
            <Understood
              id={`mark-${index}-understood`}
              control={control}
              index={index}
              decimal={decimal}
              winch={byRatedPull}
              takeAsPull={() => setValue(`marks.${index}.basis`, 'rated-pull')}
            />
            {faults[`marks[${index}].asWritten`] && <p className="text-rust">{faults[`marks[${index}].asWritten`]}</p>}
          </li>
        ))}
      </ul>
      {fields.length < 4 && (
        <button
          type="button"
          className="action mt-3"
          onClick={() => append({ asWritten: '', basis: '', source: 'stamped', confirmedUnit: '' })}
        >
          <Plus size={17} aria-hidden="true" /> Another mark
        </button>
      )}
    </fieldset>
  );
}

interface UnderstoodProps {
  readonly id: string;
  readonly control: Control<GearFormValues>;
  readonly index: number;
  readonly decimal: DecimalMark;
  readonly winch: boolean;
  readonly takeAsPull: () => void;
}

function Understood({ id, control, index, decimal, winch, takeAsPull }: UnderstoodProps) {
  const { figure } = useFigures();
  const entry = useWatch({ control, name: `marks.${index}` as const }) as GearFormValues['marks'][number] | undefined;
  if (!entry || entry.asWritten.trim() === '')
    return (
      <p id={id} className="mt-1 text-quiet">
        Nothing typed yet.
      </p>
    );
  const parsed = parseMark(entry.asWritten, {
    source: entry.source,
    decimal,
    ...(entry.basis !== '' && { basis: entry.basis }),
    ...(entry.confirmedUnit !== '' && { confirmedUnit: entry.confirmedUnit }),
  });
  if (parsed.kind === 'fault')
    return (
      <p id={id} className="mt-1 border-l-4 border-rust pl-2 text-rust">
        {parsed.message}
      </p>
    );
  const { basis, readings, settingDecided, source, confirmedUnit } = parsed.mark;
  const whichTon = readings.length > 1 || confirmedUnit !== undefined;
  const unclear = [
    readings.length > 1 &&
      `Which ton? It may be ${readings.map(({ unit, forceN }) => `a ${unit} (${figure(force(forceN))})`).join(', ')}. Until the maker’s paper says, a strength counts the smallest.`,
    basis === 'unstated' &&
      !winch &&
      'It does not say what it means. It counts as breaking strength; a steel shackle marked in tonnes usually shows its working load limit.',
    source === 'advert' && 'An advert is a claim, not a rating.',
    settingDecided && 'The separator may mean thousands or decimals; the team’s setting decided.',
  ].filter((line) => line !== false);
  return (
    <div id={id} aria-live="polite" className="mt-1">
      <p>
        Understood: <strong className="font-mono">{readings.map(({ forceN }) => figure(force(forceN))).join(' / ')}</strong>,{' '}
        {basisWords[basis]}
      </p>
      {whichTon && (
        <div className="max-w-72 py-1">
          <Chosen
            control={control}
            name={`marks.${index}.confirmedUnit`}
            label="Which ton does the maker mean?"
            options={['', ...tonUnits]}
            words={(unit) => (unit === '' ? 'nobody has confirmed it' : unit)}
          />
          <span className="text-quiet">Confirmed once, it holds for this maker.</span>
        </div>
      )}
      {winch && basis === 'unstated' && (
        <p className="flex flex-wrap items-center gap-2 py-1">
          On a winch this is its rated pull, on the first layer of rope.
          <button type="button" className="action" onClick={takeAsPull}>
            Yes, its rated pull
          </button>
        </p>
      )}
      {unclear.map((line) => (
        <p key={line} className="border-l-4 border-signal pl-2 text-amber-ink">
          {line}
        </p>
      ))}
    </div>
  );
}

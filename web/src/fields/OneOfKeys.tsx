interface OneOfKeysProps<T extends string> {
  /** Read out before the choices. */
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly choose: (value: T) => void;
  readonly className?: string;
}

/** One of a few, all in view as words: the one that stands is underlined by the rope. */
export function OneOfKeys<T extends string>({ label, value, options, choose, className = '' }: OneOfKeysProps<T>) {
  return (
    <div role="group" aria-label={label} className={`flex whitespace-nowrap ${className}`}>
      {options.map(([id, words]) => (
        <button
          key={id}
          type="button"
          aria-pressed={value === id}
          className="min-h-6 min-w-6 underline decoration-rule underline-offset-4 aria-pressed:font-semibold aria-pressed:decoration-rope aria-pressed:decoration-4 max-[760px]:min-h-11 max-[760px]:text-[16px]"
          onClick={() => choose(id)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}

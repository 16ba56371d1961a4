import { ListChoice } from './ListChoice.tsx';
import { SearchChoice } from './SearchChoice.tsx';

export interface ChoiceProps<T extends string> {
  readonly label: string;
  /** The label is read out, not shown: a heading or the choice itself says the same. */
  readonly labelIsHidden?: boolean;
  /** Empty while nothing is chosen; an option that is empty stands for none. */
  readonly value: T | '';
  readonly options: readonly T[];
  readonly words: (option: T) => string;
  readonly onChange: (value: T) => void;
  /** What stands there while nothing is chosen. */
  readonly placeholder?: string;
  readonly isOff?: (option: T) => boolean;
  readonly disabled?: boolean;
  /** What is wrong with what was chosen. */
  readonly fault?: string | undefined;
}

/** As many as one takes in at a glance; of more, one is found by typing. */
const AT_A_GLANCE = 8;

/** One of several: a list of a few, a list to search where there are many. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { fault, options } = props;
  return (
    <div>
      {options.length > AT_A_GLANCE ? <SearchChoice {...props} /> : <ListChoice {...props} />}
      {fault && <span className="block text-rust">{fault}</span>}
    </div>
  );
}

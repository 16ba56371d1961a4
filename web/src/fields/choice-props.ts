/** What a choice is asked with. */
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

import type { ChoiceProps } from './choice-props.ts';
import { ListChoice } from './ListChoice.tsx';
import { SearchChoice } from './SearchChoice.tsx';

/** As many as one takes in at a glance; of more, one is found by typing. */
const AT_A_GLANCE = 7;

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

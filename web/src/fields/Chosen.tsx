import { type Control, type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { Choice } from './Choice.tsx';
import type { ChoiceProps } from './choice-props.ts';

interface ChosenProps<V extends FieldValues, T extends string> extends Omit<ChoiceProps<T>, 'value' | 'onChange'> {
  readonly control: Control<V>;
  readonly name: FieldPath<V>;
}

/** A choice that is a field of a form. */
export function Chosen<V extends FieldValues, T extends string>({ control, name, ...choice }: ChosenProps<V, T>) {
  const { field } = useController({ control, name });
  return <Choice {...choice} value={choice.options.find((option) => option === field.value) ?? ''} onChange={field.onChange} />;
}

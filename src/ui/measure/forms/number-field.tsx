import { Field } from '../../primitives/field';
import type { FormRowProps } from './form';

/** A number of the form, by the name of its field. */
export function NumberField({
  name,
  label,
  unit,
  props: { fields, set, errorAt },
}: {
  name: string;
  label: string;
  unit: string;
  props: FormRowProps;
}) {
  return (
    <Field
      label={`${label}${unit === '' ? '' : `, ${unit}`}`}
      inputMode="decimal"
      autoComplete="off"
      value={fields[name] ?? ''}
      onChange={(event) => set({ [name]: event.target.value })}
      error={errorAt(`body.${name}`)}
    />
  );
}

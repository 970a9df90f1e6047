import { Field } from '../primitives/field';

/** Where a new password is typed. */
export function NewPassword({ error }: { error: string }) {
  return (
    <Field
      label="New password"
      name="password"
      type="password"
      autoComplete="new-password"
      hint="At least 10 characters; four words are good."
      error={error}
    />
  );
}

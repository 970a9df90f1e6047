import { useId } from 'react';
import { Field } from '../primitives/field';

/**
 * A choice of time zones, found by typing a part of the name; the list comes from the server, whose
 * calendar decides and which refuses what is none of them.
 */
export function ZoneChoice({
  zones,
  start,
  error,
}: {
  zones: readonly string[];
  start: string;
  error?: string;
}) {
  const list = useId();
  return (
    <>
      <Field
        label="Time zone"
        name="zone"
        list={list}
        defaultValue={start}
        autoComplete="off"
        spellCheck={false}
        // What stands there would hide every other one of the list.
        onFocus={({ target }) => target.select()}
        hint="Type a city of your time zone, such as Lisbon."
        error={error ?? ''}
      />
      <datalist id={list}>
        {zones.map((zone) => (
          <option key={zone} value={zone} label={zone.replaceAll('_', ' ')} />
        ))}
      </datalist>
    </>
  );
}

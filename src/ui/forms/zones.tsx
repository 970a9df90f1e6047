import { Choice } from '../primitives/field';

/** A choice of time zones; the list comes from the server, whose calendar decides. */
export function ZoneChoice({
  zones,
  start,
  error,
}: {
  zones: readonly string[];
  start: string;
  error?: string;
}) {
  return (
    <Choice label="Time zone" name="zone" defaultValue={start} error={error ?? ''}>
      {zones.map((zone) => (
        <option key={zone} value={zone}>
          {zone.replaceAll('_', ' ')}
        </option>
      ))}
    </Choice>
  );
}

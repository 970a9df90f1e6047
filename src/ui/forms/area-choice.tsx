import { AREA_WORDS } from '@/core/measures';
import { Choice } from '../primitives/field';

/** What a complaint is mainly of. */
export function AreaChoice({ start, error }: { start: string; error?: string }) {
  return (
    <Choice label="The complaint is mainly of" name="area" defaultValue={start} error={error ?? ''}>
      <option value="">not said</option>
      {Object.entries(AREA_WORDS).map(([area, name]) => (
        <option key={area} value={area}>
          {name}
        </option>
      ))}
    </Choice>
  );
}

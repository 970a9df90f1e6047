import { SHIPPED } from '@/catalogue';
import type { ExerciseId } from '@/core/units';

/** A small still of an exercise, to know it by; nothing for one that nobody drew. */
export function FigureThumb({
  exerciseId,
  drawing,
  side = 'right',
  className = 'h-11 w-14',
}: {
  exerciseId: ExerciseId;
  /** Of one of the clinic's own. */
  drawing?: string | undefined;
  side?: 'right' | 'left';
  className?: string;
}) {
  const name = drawing ?? (SHIPPED.byId(exerciseId) && exerciseId);
  return (
    <span className={`flex shrink-0 items-center justify-center ${className}`}>
      {name && (
        // oxlint-disable-next-line nextjs/no-img-element -- an SVG needs no optimising
        <img
          src={`/figures/${name}/${side}?size=small`}
          alt=""
          loading="lazy"
          className="max-h-full max-w-full"
        />
      )}
    </span>
  );
}

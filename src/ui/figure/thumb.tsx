import { SHIPPED } from '@/catalogue';
import type { ExerciseId } from '@/core/units';

/** A small still of a shipped exercise, to know it by; nothing for one of the clinic's own. */
export function FigureThumb({
  exerciseId,
  side = 'right',
  className = 'h-11 w-14',
}: {
  exerciseId: ExerciseId;
  side?: 'right' | 'left';
  className?: string;
}) {
  return (
    <span className={`flex shrink-0 items-center justify-center ${className}`}>
      {SHIPPED.byId(exerciseId) && (
        // oxlint-disable-next-line nextjs/no-img-element -- an SVG needs no optimising
        <img
          src={`/figures/${exerciseId}/${side}?size=small`}
          alt=""
          loading="lazy"
          className="max-h-full max-w-full"
        />
      )}
    </span>
  );
}

import { NO_WAYS, type Ways } from '@/core/dose';
import { SHIPPED } from './exercises';

type Sent = {
  readonly exerciseId: string;
  readonly exercise: { readonly sides?: Ways['sides'] | undefined } & {
    readonly directions?: Ways['directions'] | undefined;
  };
};

/**
 * What the sides and directions of a sent line are: as they were kept with it, else, for a version of
 * before they were kept, the shipped exercise's.
 */
export function waysOf({ exerciseId, exercise }: Sent): Ways {
  const now = SHIPPED.byId(exerciseId) ?? NO_WAYS;
  return {
    sides: exercise.sides === undefined ? now.sides : exercise.sides,
    directions: exercise.directions ?? now.directions,
  };
}

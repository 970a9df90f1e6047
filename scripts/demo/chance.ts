import { randomInt, randomLcg, randomNormal, randomUniform } from 'd3';

/** Chance with a seed of its own for each patient, so that one story never changes another. */
export function chance(seed: number) {
  const source = randomLcg(seed);
  return {
    fraction: randomUniform.source(source)(),
    normal: randomNormal.source(source)(0, 0.8),
    whole: (below: number) => randomInt.source(source)(below)(),
    id: () => {
      const hex = Array.from({ length: 32 }, () =>
        randomInt.source(source)(16)().toString(16),
      ).join('');
      return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20)}`;
    },
  };
}
export type Chance = ReturnType<typeof chance>;

/** `npm run long` draws every case of a property; `npm test` a fixed share of them. */
const SHARE = process.env.EVERY_CASE ? 1 : 0.25;

/** So many of something in `npm run long`; a fixed share of it, one at least, in `npm test`. */
export const share = (all: number): number => Math.ceil(all * SHARE);

/** Every one of a list in `npm run long`; in `npm test` so many of it, spread over the whole. */
export const someOf = <T>(all: readonly T[], oneOf: number): readonly T[] =>
  SHARE === 1 ? all : all.filter((_, at) => at % oneOf === 0);

/** How many cases a property draws. @param all in `npm run long` */
export const runs = (all: number): { numRuns: number } => ({ numRuns: share(all) });

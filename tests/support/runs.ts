/** `npm run long` draws every case of a property; `npm test` a fixed share of them. */
const SHARE = process.env.EVERY_CASE ? 1 : 0.25;

/** How many cases a property draws. @param all in `npm run long` */
export const runs = (all: number): { numRuns: number } => ({ numRuns: Math.ceil(all * SHARE) });

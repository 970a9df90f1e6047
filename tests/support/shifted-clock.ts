/**
 * Another day for a whole run: SHIFT_MS moves the clock that the tests and what they test read. Used
 * by `npm run long`, so that no test hangs on the weekday or hour it is run at.
 */
const shift = Number(process.env.SHIFT_MS ?? '0');

if (shift !== 0) {
  const Real = Date;
  class Shifted extends Real {
    constructor(...parts: [] | [number | string | Date]) {
      super(...((parts.length === 0 ? [Real.now() + shift] : parts) as [number]));
    }
    static override now() {
      return Real.now() + shift;
    }
  }
  globalThis.Date = Shifted as DateConstructor;
}

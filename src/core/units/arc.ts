/** The nearest share there is: rounding may bring a cosine a hair past 1, where an arc has no value. */
const share = (value: number) => Math.min(1, Math.max(-1, value));

/** The angle with this cosine, in radians, 0 to π. @example arcCosine(1 + 1e-16) // 0 */
export const arcCosine = (cosine: number): number => Math.acos(share(cosine));

/** The angle with this sine, in radians, −π/2 to π/2. @example arcSine(-1 - 1e-16) // −π/2 */
export const arcSine = (sine: number): number => Math.asin(share(sine));

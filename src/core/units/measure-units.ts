/** An angle in degrees. */
export type Degrees = number & { readonly __unit: 'degrees' };

/** A length in millimetres. */
export type Millimetres = number & { readonly __unit: 'millimetres' };

export function degrees(value: number): Degrees {
  return value as Degrees;
}

export function millimetres(value: number): Millimetres {
  return value as Millimetres;
}

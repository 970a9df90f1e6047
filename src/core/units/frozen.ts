/** A value nobody may change, however deep: what a schema reads, as the core hands it on. */
export type Frozen<T> = T extends string | number | boolean | bigint | symbol | null | undefined
  ? T
  : { readonly [Key in keyof T]: Frozen<T[Key]> };

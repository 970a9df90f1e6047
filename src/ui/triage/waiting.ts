/** For how many days a row waits, and why. */
export type Waiting = { readonly days: number; readonly reason: string };

export const waitLabel = (name: string): string => `Let it wait: ${name}`;

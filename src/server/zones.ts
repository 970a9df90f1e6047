/** The time zones this server knows, the given one among them, by name. */
export function knownZones(own: string): string[] {
  return [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].sort();
}

/** The server's own zone, a first guess for a new clinic. */
export function serverZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

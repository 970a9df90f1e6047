/** What is typed into a form, by the name of its field. */
export type Fields = Readonly<Record<string, string>>;

export type Side = 'left' | 'right' | null;

/** A typed number, with a comma as decimal sign too; NaN for what is none. */
export function numberIn(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'));
}

/** The number of a field; NaN where nothing is typed. */
export function numberAt(fields: Fields, name: string): number {
  return numberIn(fields[name] ?? '');
}

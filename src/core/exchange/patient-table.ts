import { type LocalDate, parseLocalDate, plainText, plainWords } from '../units';

/** What of a patient a table can bring. */
export const TABLE_FIELDS = [
  'name',
  'first name',
  'complaint',
  'birth date',
  'phone',
  'e-mail',
  'clinic number',
  'minutes a day',
] as const;
export type TableField = (typeof TABLE_FIELDS)[number];

/** The column of each field, by its place; left out where none. */
export type Mapping = Readonly<Partial<Record<TableField, number>>>;

/** In which order a date's numbers stand. ISO dates are read whatever is chosen. */
export const DATE_ORDERS = ['day first', 'month first'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** Words by which a column names itself, the more telling first. */
const NAMES: Readonly<Record<TableField, readonly string[]>> = {
  'first name': ['first name', 'given name', 'forename', 'vorname', 'nombre de pila', 'prenom'],
  name: ['full name', 'patient name', 'surname', 'last name', 'family name', 'nachname', 'name'],
  complaint: ['complaint', 'reason', 'problem', 'diagnosis', 'beschwerde'],
  'birth date': ['birth date', 'date of birth', 'birthdate', 'birthday', 'dob', 'geburtsdatum'],
  phone: ['mobile', 'telephone', 'phone', 'cell', 'tel', 'telefon'],
  'e-mail': ['e mail', 'email', 'mail'],
  'clinic number': ['patient number', 'clinic number', 'number', 'patient id', 'id', 'no'],
  'minutes a day': ['minutes a day', 'minutes'],
};

/**
 * Which column is likely which, by what it is called; a person looks at it before anything is written.
 *
 * @example guessMapping(['Surname', 'First name', 'DOB']) // { name: 0, 'first name': 1, 'birth date': 2 }
 */
export function guessMapping(headers: readonly string[]): Mapping {
  const names = headers.map(plainText);
  const taken = new Set<number>();
  const mapping: Partial<Record<TableField, number>> = {};
  // The more telling fields choose first, so that "first name" is not taken for a name.
  for (const [field, words] of Object.entries(NAMES) as [TableField, readonly string[]][]) {
    const at =
      words
        .map((word) => names.findIndex((name, index) => name === word && !taken.has(index)))
        .find((index) => index >= 0) ??
      words
        .map((word) =>
          names.findIndex((name, index) => ` ${name} `.includes(` ${word} `) && !taken.has(index)),
        )
        .find((index) => index >= 0);
    if (at === undefined) continue;
    taken.add(at);
    mapping[field] = at;
  }
  return mapping;
}

/**
 * A date as tables write it: ISO, or three numbers apart by dots, slashes or dashes. Two digits of a year
 * are not guessed at.
 *
 * @returns null where it is none
 * @example readDate('3.4.1980', 'day first') // '1980-04-03'
 */
export function readDate(text: string, order: DateOrder): LocalDate | null {
  const trimmed = text.trim();
  const iso = parseLocalDate(trimmed.slice(0, 10));
  if (iso !== null && /^\d{4}-\d\d-\d\d([T ].*)?$/.test(trimmed)) return iso;
  const match = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/.exec(trimmed);
  if (!match) return null;
  const [, one = '', two = '', year = ''] = match;
  const [day, month] = order === 'day first' ? [one, two] : [two, one];
  return parseLocalDate(`${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
}

/** A row as it would be written. */
export type ImportedPatient = {
  readonly name: string;
  readonly complaint: string;
  readonly birthDate: LocalDate | null;
  readonly phone: string;
  readonly email: string;
  readonly clinicNumber: string;
  readonly minutesADay: number | null;
};

export type RowRead =
  | { readonly ok: true; readonly patient: ImportedPatient }
  | { readonly ok: false; readonly say: string };

/**
 * A row of the table as a patient, or why it is none. Nothing is guessed: an unreadable date or number is
 * said, an empty one is none.
 *
 * @param complaint for rows that bring none
 */
export function readRow(
  cells: readonly string[],
  mapping: Mapping,
  order: DateOrder,
  complaint: string,
): RowRead {
  const of = (field: TableField) => {
    const at = mapping[field];
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };
  const name = [of('first name'), of('name')].filter((part) => part !== '').join(' ');
  if (name === '') return { ok: false, say: 'The name is missing.' };
  const born = of('birth date');
  const birthDate = born === '' ? null : readDate(born, order);
  if (born !== '' && birthDate === null)
    return { ok: false, say: `“${born}” is no date that can be read (${order}).` };
  const minutes = of('minutes a day');
  const minutesADay = minutes === '' ? null : Number(minutes);
  if (minutesADay !== null && !Number.isInteger(minutesADay))
    return { ok: false, say: `“${minutes}” are no whole minutes.` };
  return {
    ok: true,
    patient: {
      name,
      complaint: of('complaint') || complaint.trim(),
      birthDate,
      phone: of('phone'),
      email: of('e-mail'),
      clinicNumber: of('clinic number'),
      minutesADay,
    },
  };
}

/**
 * Which row before names the same person: the same words in the name, and no two birth dates that differ.
 *
 * @param rows null for a row that cannot be read
 * @returns for each row the place of the first such row; null where there is none
 */
export function repeatsIn(rows: readonly (ImportedPatient | null)[]): (number | null)[] {
  const known = new Map<string, number[]>();
  return rows.map((row, at) => {
    if (!row) return null;
    const key = plainWords(row.name).sort().join(' ');
    const before = known.get(key) ?? [];
    known.set(key, [...before, at]);
    const same = before.find((other) => {
      const born = rows[other]?.birthDate ?? null;
      return born === null || row.birthDate === null || born === row.birthDate;
    });
    return same ?? null;
  });
}

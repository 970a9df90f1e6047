import { type OwnExerciseDraft, OwnExerciseDraft as Schema } from '../records';

/**
 * An exercise as a row of a table: lists are separated by " | ", a fault and its fix by " -> ", a
 * prop and its substitutes by " : ", " , " and " = ". Column names are the record's own.
 */
export const EXERCISE_COLUMNS = [
  'name',
  'family',
  'rung',
  'position',
  'region',
  'purpose',
  'mode',
  'sided',
  'effort',
  'muscles',
  'props',
  'traits',
  'sidesName',
  'directions',
  'ways',
  'usualDose',
  'steps',
  'cues',
  'faults',
  'feel',
  'normal',
  'stop',
  'watch',
  'keywords',
] as const satisfies readonly (keyof OwnExerciseDraft)[];
export type ExerciseColumn = (typeof EXERCISE_COLUMNS)[number];
export type ExerciseRow = Readonly<Record<ExerciseColumn, string>>;

const BAR = ' | ';
/** Columns that tables of before lack. */
export const LATER_COLUMNS: readonly ExerciseColumn[] = ['sidesName', 'directions'];
const LISTS = ['muscles', 'traits', 'directions', 'steps', 'cues', 'keywords'] as const;
const FLAGS = ['sided', 'effort'] as const;

/** @example exerciseRow(draft).muscles // "scalenes | upper trapezius" */
export function exerciseRow(draft: OwnExerciseDraft): ExerciseRow {
  return {
    ...draft,
    rung: String(draft.rung),
    sided: draft.sided ? 'yes' : 'no',
    effort: draft.effort ? 'yes' : 'no',
    muscles: draft.muscles.join(BAR),
    traits: draft.traits.join(BAR),
    sidesName: draft.sidesName ?? '',
    directions: (draft.directions ?? []).join(BAR),
    steps: draft.steps.join(BAR),
    cues: draft.cues.join(BAR),
    keywords: draft.keywords.join(BAR),
    faults: draft.faults.map(({ fault, fix }) => `${fault} -> ${fix}`).join(BAR),
    props: draft.props
      .map(({ prop, orElse }) =>
        orElse.length === 0
          ? prop
          : `${prop} : ${orElse.map((one) => `${one.prop} = ${one.consequence}`).join(' , ')}`,
      )
      .join(BAR),
  };
}

function listIn(text: string): string[] {
  return text
    .split(/[|\n]/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

/** Splits at the first of a sign; the second half is empty where the sign is missing. */
function halves(text: string, sign: string): [string, string] {
  const at = text.indexOf(sign);
  return at < 0
    ? [text.trim(), '']
    : [text.slice(0, at).trim(), text.slice(at + sign.length).trim()];
}

/** A row as a draft, not checked yet. Lists may also stand on lines of their own, as in a form. */
export function exerciseFromRow(row: Partial<ExerciseRow>): unknown {
  const cell = (column: ExerciseColumn) => row[column]?.trim() ?? '';
  const flag = (text: string) => ['yes', 'true', '1', 'x'].includes(text.toLowerCase());
  return {
    ...Object.fromEntries(EXERCISE_COLUMNS.map((column) => [column, cell(column)])),
    rung: Number(cell('rung') || 'NaN'),
    ...Object.fromEntries(FLAGS.map((column) => [column, flag(cell(column))])),
    ...Object.fromEntries(LISTS.map((column) => [column, listIn(cell(column))])),
    faults: listIn(cell('faults')).map((part) => {
      const [fault, fix] = halves(part, '->');
      return { fault, fix };
    }),
    props: listIn(cell('props')).map((part) => {
      const [prop, others] = halves(part, ' : ');
      return {
        prop,
        orElse:
          others === ''
            ? []
            : others.split(' , ').map((other) => {
                const [name, consequence] = halves(other, '=');
                return { prop: name, consequence };
              }),
      };
    }),
  };
}

/** What is wrong with one row of an import, in a sentence. */
export type RowProblem = { readonly row: number; readonly say: string };
export type ReadExercises = {
  readonly drafts: readonly OwnExerciseDraft[];
  readonly problems: readonly RowProblem[];
};

/** The most exercises one import may bring. */
export const MOST_IMPORTED = 500;

/**
 * Reads rows of a table, or records of a JSON list, as exercises. Every row is read, so that all
 * problems are told at once; with any problem nothing is to be taken in.
 *
 * @param rows objects with text cells, or drafts themselves
 * @param firstRow what people call the first of them: 2 below a heading, 1 in a list
 */
export function readExercises(rows: readonly unknown[], firstRow: number): ReadExercises {
  const drafts: OwnExerciseDraft[] = [];
  const problems: RowProblem[] = [];
  const names = new Set<string>();
  if (rows.length === 0) problems.push({ row: firstRow, say: 'There is no exercise in it.' });
  if (rows.length > MOST_IMPORTED)
    return {
      drafts: [],
      problems: [{ row: firstRow, say: `At most ${MOST_IMPORTED} at a time.` }],
    };
  rows.forEach((row, index) => {
    const number = firstRow + index;
    const isTable =
      typeof row === 'object' &&
      row !== null &&
      typeof (row as { rung?: unknown }).rung !== 'number';
    const parsed = Schema.safeParse(isTable ? exerciseFromRow(row) : row);
    if (!parsed.success) {
      for (const issue of parsed.error.issues.slice(0, 3))
        problems.push({
          row: number,
          say: `${placeIn(issue.path)}${issue.message}`,
        });
      return;
    }
    const name = parsed.data.name.toLowerCase();
    if (names.has(name))
      problems.push({ row: number, say: `name: “${parsed.data.name}” stands there twice.` });
    names.add(name);
    drafts.push(parsed.data);
  });
  return { drafts: problems.length > 0 ? [] : drafts, problems };
}

/**
 * Where in a record something is wrong, as a person counts.
 *
 * @example placeIn(['figure', 'poses', 1, 'head', 'flex']) // "figure, poses 2, head, flex: "
 */
function placeIn(path: readonly PropertyKey[]): string {
  const said = path.reduce<string>((before, key) => {
    if (typeof key === 'number') return `${before} ${key + 1}`;
    return before === '' ? String(key) : `${before}, ${String(key)}`;
  }, '');
  return said === '' ? '' : `${said}: `;
}

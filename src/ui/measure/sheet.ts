import {
  type DetectableChanges,
  type InstrumentName,
  KIND_IDS,
  MEASURE_STEPS,
  type Margin,
  type MeasureKindId,
  type MeasureStep,
  type Position,
  type Profile,
  changeBetween,
  detectableOf,
  formatMeasure,
  kindOf,
  wordsOf,
} from '@/core/measures';
import { FORMS } from './forms';
import { type Fields, type Side, numberIn } from './typed';

/** What is typed for one kind and side, before it is a measurement. */
export type RowDraft = {
  readonly id: string;
  readonly trials: readonly string[];
  readonly instrument: InstrumentName;
  readonly position: Position;
  readonly note: string;
  readonly painAtEnd: string;
  readonly chinJut: boolean;
  readonly cue: string;
  readonly retest: readonly string[];
  /** Everything a form other than trials asks, by the name of its field. */
  readonly fields: Fields;
};

export type SheetDraft = Readonly<Record<string, RowDraft>>;

export function rowKey(kind: MeasureKindId, side: Side): string {
  return side === null ? kind : `${kind} ${side}`;
}

/** Sides of a kind: left and right, or none. */
export function sidesMeasured(kind: MeasureKindId): readonly Side[] {
  return kindOf(kind).sided ? ['left', 'right'] : [null];
}

export function emptyRow(kind: MeasureKindId, id: string): RowDraft {
  const { trials, instrument, position } = kindOf(kind);
  return {
    id,
    trials: Array.from({ length: trials }, () => ''),
    instrument,
    position,
    note: '',
    painAtEnd: '',
    chinJut: false,
    cue: '',
    retest: ['', '', ''],
    fields: {},
  };
}

function filled(texts: readonly string[]): number[] {
  return texts.filter((text) => text.trim() !== '').map(numberIn);
}

/** True when something of it was typed. */
export function isTouched(row: RowDraft): boolean {
  return (
    [...row.trials, ...row.retest, row.note, row.painAtEnd, row.cue].some(
      (text) => text.trim() !== '',
    ) ||
    row.chinJut ||
    Object.values(row.fields).some((text) => text.trim() !== '')
  );
}

/** The body of a form from its fields, as the measurement's schema checks it; null for trials. */
export function bodyOf(kind: MeasureKindId, fields: Fields): unknown {
  const { form } = kindOf(kind);
  return form === 'trials' || form === 'photo' ? null : FORMS[form].body(fields);
}

/** A row as the record the server takes; its schema says what is wrong with it. */
export function measurementOf(kind: MeasureKindId, side: Side, row: RowDraft) {
  const retest = filled(row.retest);
  return {
    id: row.id,
    kind,
    side,
    position: row.position,
    instrument: row.instrument,
    trials: filled(row.trials),
    body: bodyOf(kind, row.fields),
    note: row.note,
    painAtEnd: row.painAtEnd.trim() === '' ? null : numberIn(row.painAtEnd),
    chinJut: row.chinJut,
    retest: row.cue.trim() !== '' && retest.length > 0 ? { cue: row.cue, trials: retest } : null,
    supersedes: null,
  };
}

/** What is wrong with a sheet, at which row and field; no row where it is none of them. */
export type Wrong = { readonly say: string; readonly key: string; readonly field: string };

/**
 * A refusal of the server's, put to the row it is about.
 *
 * @param at where in the record it is: the list, the row's place in it, the field
 */
export function wrongIn(
  { say, at }: { readonly say: string; readonly at: readonly (string | number)[] },
  rows: readonly { readonly kind: MeasureKindId; readonly side: Side }[],
): Wrong {
  const [, index, ...path] = at;
  const row = typeof index === 'number' ? rows[index] : undefined;
  return {
    say: row ? `${wordsOf(row.kind, row.side)}: ${say}` : say,
    key: row ? rowKey(row.kind, row.side) : '',
    field: path.join('.'),
  };
}

/** The touched rows of a sheet, in the order of the visit. */
export function touchedRows(draft: SheetDraft) {
  return KIND_IDS.flatMap((kind) =>
    sidesMeasured(kind).flatMap((side) => {
      const row = draft[rowKey(kind, side)];
      return row && isTouched(row) ? [{ kind, side, row }] : [];
    }),
  );
}

/**
 * The kinds of each step: those the complaint needs first, or all.
 *
 * @param profile null where nobody chose what it is of: then what comes first for any complaint
 */
export function stepsOf(
  profile: Profile | null,
  all: boolean,
): { readonly step: MeasureStep; readonly name: string; readonly kinds: MeasureKindId[] }[] {
  return (Object.keys(MEASURE_STEPS) as MeasureStep[])
    .map((step) => ({
      step,
      name: MEASURE_STEPS[step],
      kinds: KIND_IDS.filter((kind) => {
        const { form, first, step: own } = kindOf(kind);
        return own === step && form !== 'photo' && (all || isFirst(first, profile));
      }),
    }))
    .filter(({ kinds }) => kinds.length > 0);
}

const isFirst = (first: readonly Profile[], profile: Profile | null) =>
  profile === null ? first.length > 0 : first.includes(profile);

/** A change in words: "+12°, real (needs 10°)". */
export function changeInWords(
  kind: MeasureKindId,
  then: number,
  now: number,
  detectable: DetectableChanges,
): string {
  const { margin } = detectableOf(kind, detectable);
  return wordsOfChange(kind, then, now, margin);
}

function wordsOfChange(
  kind: MeasureKindId,
  then: number,
  now: number,
  margin: Margin | null,
): string {
  const { difference, needed, real, direction } = changeBetween(
    then,
    now,
    margin,
    kindOf(kind).better,
  );
  const sign = difference > 0 ? '+' : difference < 0 ? '−' : '±';
  const shown = `${sign}${formatMeasure(kind, Math.abs(difference))}`;
  if (real === null || needed === null) return `${shown}, detectable change not known`;
  const limit = formatMeasure(kind, needed);
  if (!real) return `${shown}, within error (${limit})`;
  return `${shown}, real${direction === 'neither' ? '' : ` and ${direction}`} (needs ${limit})`;
}

import {
  CUFF_TARGETS,
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
} from '@/core/measures';
import {
  MOVEMENT_EFFECTS,
  NERVE_LEVELS,
  REPEATED_MOVEMENTS,
  TENSION_TESTS,
  isRegion,
} from '@/core/symptoms';

export type Side = 'left' | 'right' | null;

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
  readonly fields: Readonly<Record<string, string>>;
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

/** A typed number, with a comma as decimal sign too; NaN for what is none. */
export function numberIn(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.'));
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
export function bodyOf(kind: MeasureKindId, fields: RowDraft['fields']): unknown {
  const number = (name: string) => numberIn(fields[name] ?? '');
  const { form } = kindOf(kind);
  switch (form) {
    case 'trials':
    case 'photo':
      return null;
    case 'choice':
      return { form, option: fields.option ?? '' };
    case 'offsets':
      return { form, relaxed: number('relaxed'), tall: number('tall'), chest: number('chest') };
    case 'wedge':
      return { form, wedge: number('wedge'), ear: number('ear'), shoulder: number('shoulder') };
    case 'cuff':
      return {
        form,
        target: numberIn(fields.target ?? String(CUFF_TARGETS[0])),
        holds: number('holds'),
      };
    case 'pressure':
      return { form, systolic: number('systolic'), diastolic: number('diastolic') };
    case 'sections':
      return {
        form,
        scores: Array.from({ length: 10 }, (_, index) => {
          const text = fields[`section ${index}`] ?? '';
          return text.trim() === '' ? null : numberIn(text);
        }),
      };
    case 'activities':
      return {
        form,
        activities: [0, 1, 2, 3, 4]
          .filter((index) => (fields[`activity ${index}`] ?? '').trim() !== '')
          .map((index) => ({
            name: fields[`activity ${index}`],
            score: number(`score ${index}`),
          })),
      };
    case 'nerve':
      return { form, levels: levelsIn(fields), tension: tensionIn(fields) };
    case 'body':
      return {
        form,
        regions: Object.keys(fields).filter((name) => isRegion(name) && fields[name] === 'on'),
        movements: REPEATED_MOVEMENTS.flatMap((movement) => {
          const effect = fields[`movement ${movement}`];
          return MOVEMENT_EFFECTS.some((one) => one === effect) ? [{ movement, effect }] : [];
        }),
      };
  }
}

const SIDES = ['left', 'right'] as const;

function levelsIn(fields: RowDraft['fields']) {
  return NERVE_LEVELS.flatMap(({ level }) =>
    SIDES.flatMap((side) => {
      const [strength, feeling, reflex] = ['strength', 'feeling', 'reflex'].map(
        (what) => fields[`${level} ${side} ${what}`] || null,
      );
      return strength || feeling || reflex
        ? [{ level, side, strength: strength ? numberIn(strength) : null, feeling, reflex }]
        : [];
    }),
  );
}

function tensionIn(fields: RowDraft['fields']) {
  return TENSION_TESTS.flatMap((test) =>
    SIDES.flatMap((side) => {
      const answer = fields[`${test} ${side}`];
      return answer ? [{ test, side, positive: answer === 'positive' }] : [];
    }),
  );
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

/** The touched rows of a sheet, in the order of the visit. */
export function touchedRows(draft: SheetDraft) {
  return KIND_IDS.flatMap((kind) =>
    sidesMeasured(kind).flatMap((side) => {
      const row = draft[rowKey(kind, side)];
      return row && isTouched(row) ? [{ kind, side, row }] : [];
    }),
  );
}

/** The kinds of each step: those the complaint needs first, or all. */
export function stepsOf(
  profile: Profile,
  all: boolean,
): { readonly step: MeasureStep; readonly name: string; readonly kinds: MeasureKindId[] }[] {
  return (Object.keys(MEASURE_STEPS) as MeasureStep[])
    .map((step) => ({
      step,
      name: MEASURE_STEPS[step],
      kinds: KIND_IDS.filter((kind) => {
        const { form, first, step: own } = kindOf(kind);
        return own === step && form !== 'photo' && (all || first.includes(profile));
      }),
    }))
    .filter(({ kinds }) => kinds.length > 0);
}

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

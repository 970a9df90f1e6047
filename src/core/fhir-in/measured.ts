import { KIND_IDS, type MeasureKindId, type Unit, impossible, kindOf } from '../measures';
import { PressureFields } from '../records';
import type { LocalDate } from '../units';
import type { Concept, ObservationResource, Quantity } from './resources';

/** A measurement of another system that is one of a kind known here. */
export type ForeignMeasure = {
  /** As the other system names it; null where it has no name for it. */
  readonly id: string | null;
  readonly kind: MeasureKindId;
  readonly side: 'left' | 'right' | null;
  readonly on: LocalDate;
  readonly value:
    | { readonly form: 'number'; readonly of: number }
    | { readonly form: 'pressure'; readonly systolic: number; readonly diastolic: number };
};

/** Why an observation is not taken, in a sentence; what it is called there. */
export type LeftOut = { readonly what: string; readonly why: string };

const OWN = 'urn:dry-lantern:measure';
const LOINC = 'http://loinc.org';
const SNOMED = 'http://snomed.info/sct';

/** Codes of LOINC (loinc.org) for what is measured here; from memory. */
const LOINC_KINDS: ReadonlyMap<string, MeasureKindId> = new Map([
  ['72514-3', 'pain-now'],
  ['38208-5', 'pain-now'],
  ['85354-9', 'blood-pressure'],
  ['55284-4', 'blood-pressure'],
]);
const SYSTOLIC = '8480-6';
const DIASTOLIC = '8462-4';
/** Codes of SNOMED CT for a side; from memory. */
const SNOMED_SIDES: ReadonlyMap<string, 'left' | 'right'> = new Map([
  ['7771000', 'left'],
  ['24028007', 'right'],
]);
/** Exactly these words are a side; nothing is read out of longer ones. */
const SIDE_WORDS: ReadonlyMap<string, 'left' | 'right'> = new Map([
  ['left', 'left'],
  ['left side', 'left'],
  ['right', 'right'],
  ['right side', 'right'],
]);
/** Only what was finished, and is not in error. */
const STANDS: readonly string[] = ['final', 'amended', 'corrected'];

const namesOf = ({ text, coding = [] }: Concept): string[] =>
  [text, ...coding.map(({ display }) => display)].filter((name) => name !== undefined);

/** What an observation is called where it comes from. */
export function calledThere({ code }: ObservationResource): string {
  return namesOf(code)[0] ?? code.coding?.[0]?.code ?? 'an observation without a name';
}

/** By a code of ours, or of LOINC, or by exactly our name; null where it is none of these. */
function kindThere({ code }: ObservationResource): MeasureKindId | null {
  for (const one of code.coding ?? []) {
    const own = KIND_IDS.find((kind) => one.system === OWN && kind === one.code);
    const other = one.system === LOINC ? LOINC_KINDS.get(one.code ?? '') : undefined;
    if (own ?? other) return own ?? other ?? null;
  }
  const names = namesOf(code).map((name) => name.trim().toLowerCase());
  return KIND_IDS.find((kind) => names.includes(kindOf(kind).name.toLowerCase())) ?? null;
}

function sideThere({ bodySite }: ObservationResource): 'left' | 'right' | null {
  for (const { system, code } of bodySite?.coding ?? []) {
    const side = system === SNOMED ? SNOMED_SIDES.get(code ?? '') : undefined;
    if (side) return side;
  }
  const said = bodySite ? namesOf(bodySite) : [];
  for (const words of said) {
    const side = SIDE_WORDS.get(words.trim().toLowerCase());
    if (side) return side;
  }
  return null;
}

/** The day it was measured, as it stands there; null where no whole day is said. */
function dayThere(one: ObservationResource): LocalDate | null {
  const said = one.effectiveDateTime ?? one.effectiveInstant ?? one.effectivePeriod?.start ?? '';
  const day = /^\d{4}-\d{2}-\d{2}(?=$|T)/.exec(said)?.[0];
  const isDay = day !== undefined && !Number.isNaN(Date.parse(`${day}T00:00:00Z`));
  return isDay && new Date(`${day}T00:00:00Z`).toISOString().startsWith(day)
    ? (day as LocalDate)
    : null;
}

/** Units of UCUM that are one of ours, and how often ours goes into one of them. */
const UNITS: Readonly<Partial<Record<Unit, Readonly<Record<string, number>>>>> = {
  '°': { deg: 1 },
  mm: { mm: 1, cm: 10 },
  s: { s: 1, min: 60 },
  N: { N: 1 },
  '%': { '%': 1 },
  mmHg: { 'mm[Hg]': 1 },
  'of 10': { '{score}': 1, '1': 1, '': 1 },
  'of 50': { '{score}': 1, '1': 1, '': 1 },
  days: { '{days}': 1, d: 1, '': 1 },
  nights: { '{nights}': 1, '': 1 },
};
/** What our units are written like where no code stands beside them. */
const WRITTEN: Readonly<Record<string, string>> = { '°': 'deg', degrees: 'deg', mmHg: 'mm[Hg]' };

/** A number in our unit; a sentence where it is none. */
function numberIn(
  { valueQuantity, valueInteger }: { valueQuantity?: Quantity; valueInteger?: number },
  unit: Unit,
): number | string {
  const value = valueQuantity?.value ?? valueInteger;
  if (value === undefined) return 'it has no number';
  if (valueQuantity?.comparator) return 'it is “more than” or “less than”, not a number';
  const said = valueQuantity?.code ?? valueQuantity?.unit ?? '';
  const factor = said === unit ? 1 : UNITS[unit]?.[WRITTEN[said] ?? said];
  if (factor === undefined)
    return said === ''
      ? `it has no unit; here it is in ${unit}`
      : `it is in “${said}”; here it is in ${unit}`;
  return Math.round(value * factor * 1000) / 1000;
}

/** Reads one observation: a measurement, or why it is not taken. */
export function measureThere(one: ObservationResource): ForeignMeasure | LeftOut {
  const what = calledThere(one);
  const left = (why: string): LeftOut => ({ what, why });
  const kind = kindThere(one);
  if (kind === null) return left('no kind of measurement that is known here');
  if (!STANDS.includes(one.status ?? ''))
    return left(`it is “${one.status ?? 'of no status'}” there, so it does not stand`);
  const on = dayThere(one);
  if (on === null) return left('no whole day stands on it');
  const { form, sided, unit } = kindOf(kind);
  const side = sided ? sideThere(one) : null;
  if (sided && side === null) return left('left or right is not said');
  const id = one.id ?? null;
  if (form === 'pressure') {
    const part = (code: string) => {
      const found = one.component?.find((each) =>
        each.code.coding?.some((coding) => coding.system === LOINC && coding.code === code),
      );
      return found ? numberIn(found, 'mmHg') : 'its two numbers are not both there';
    };
    const [systolic, diastolic] = [part(SYSTOLIC), part(DIASTOLIC)];
    if (typeof systolic === 'string') return left(systolic);
    if (typeof diastolic === 'string') return left(diastolic);
    const read = PressureFields.safeParse({ systolic, diastolic });
    if (!read.success) return left(read.error.issues[0]?.message ?? 'its numbers cannot be');
    return { id, kind, side, on, value: { form: 'pressure', systolic, diastolic } };
  }
  if (form !== 'trials') return left('here it is more than one number, so it is measured anew');
  const value = numberIn(one, unit);
  if (typeof value === 'string') return left(value);
  const fault = impossible(kind, value);
  return fault ? left(fault) : { id, kind, side, on, value: { form: 'number', of: value } };
}

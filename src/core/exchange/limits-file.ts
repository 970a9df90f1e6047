import { type MeasureKindId, detectableOf, kindOf, marginInWords } from '../measures';
import { LIMITS_FORMAT, LimitsFile } from '../records';
import { LIMIT_WORDS } from '../triage';

/** What a clinic's own limits are; everything else of the clinic stays where it is. */
export type OwnLimits = Pick<LimitsFile, 'limits' | 'detectable' | 'bands'>;

/** The text of a file of limits. */
export function limitsFileText({ limits, detectable, bands }: OwnLimits): string {
  const file: LimitsFile = { format: LIMITS_FORMAT, version: 1, limits, detectable, bands };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** A file as it was read, or all that is wrong with it, in sentences. */
export type ReadLimitsFile =
  | { readonly ok: true; readonly file: OwnLimits }
  | { readonly ok: false; readonly problems: readonly string[] };

const MOST_TOLD = 20;

/** Reads a file of limits; every number is held against the same bounds as in the clinic's forms. */
export function readLimitsFile(text: string): ReadLimitsFile {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return { ok: false, problems: ['This is not a file of a clinic’s limits: it is no JSON.'] };
  }
  const read = LimitsFile.safeParse(raw);
  if (read.success) return { ok: true, file: read.data };
  const problems = read.error.issues
    .slice(0, MOST_TOLD)
    .map(({ path, message }) =>
      path.length > 0 ? `${path.map(String).join(', ')}: ${message}` : message,
    );
  return { ok: false, problems };
}

/** One thing that would change, in words; empty where there is nothing. */
export type LimitChange = {
  readonly what: string;
  readonly before: string;
  readonly after: string;
};

/** What taking a file would change of what stands, as somebody reads it. */
export function limitChanges(before: OwnLimits, after: OwnLimits): LimitChange[] {
  const keys = Object.keys(LIMIT_WORDS) as (keyof typeof LIMIT_WORDS)[];
  const kinds = [
    ...new Set([...Object.keys(before.detectable), ...Object.keys(after.detectable)]),
  ] as MeasureKindId[];
  const detectable = (own: OwnLimits, kind: MeasureKindId) => {
    const { margin, source } = detectableOf(kind, own.detectable);
    return `${marginInWords(kind, margin)} (${source})`;
  };
  const band = (own: OwnLimits, name: string) => {
    const found = own.bands.find((one) => one.name === name);
    if (!found) return '';
    return (
      found.points.map((one) => `${one.stretchPercent} %: ${one.newtons} N`).join(', ') ||
      'no points'
    );
  };
  const names = [...new Set([...before.bands, ...after.bands].map(({ name }) => name))];
  return [
    ...keys.map((key) => ({
      what: LIMIT_WORDS[key],
      before: String(before.limits[key]),
      after: String(after.limits[key]),
    })),
    ...kinds.map((kind) => ({
      what: `Real from: ${kindOf(kind).name}`,
      before: detectable(before, kind),
      after: detectable(after, kind),
    })),
    ...names.map((name) => ({
      what: `Band: ${name}`,
      before: band(before, name),
      after: band(after, name),
    })),
  ].filter((one) => one.before !== one.after);
}

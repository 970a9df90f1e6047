import { askedIn } from '../screen';
import { KIND_IDS, type MeasureKindId, bodyInWords, kindOf } from '../measures';
import { DAY_KEY, standingEvents } from '../history';
import type { RecordEvent, RecordMeasurement, WholeRecord } from './whole-record';
import { toTenth, percentText } from '../units';

/** A table as a spreadsheet opens it: rows of cells under their columns. */
export type RecordTableFile = {
  /** The file's name, without its ending. */
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
};

/** A measurement's name in words; its kind where this release does not know it. */
export function measureName({ kind, side }: Pick<RecordMeasurement, 'kind' | 'side'>): string {
  const name = (KIND_IDS as readonly string[]).includes(kind)
    ? kindOf(kind as MeasureKindId).name
    : kind;
  return side === null ? name : `${name}, ${side}`;
}

/** What a measurement came to, in words with its unit. */
export function measureValue({ value, unit, details }: RecordMeasurement): string {
  if (details === null) return 'taken out';
  if (value === null) return bodyInWords({ value, body: details.body });
  const rounded = toTenth(value);
  return `${rounded}${unit === '' ? '' : unit === '°' || unit === '%' ? unit : ` ${unit}`}`;
}

/** How a measurement stands in the record: what was corrected or taken out stays in it. */
export function standingOf(
  row: RecordMeasurement,
  superseded: ReadonlySet<string | null>,
): 'counts' | 'corrected later' | 'takes another out' {
  if (row.details === null) return 'takes another out';
  return superseded.has(row.id) ? 'corrected later' : 'counts';
}

/** The measurements, the programme, the sessions and the answers of the screenings as tables. */
export function recordTables(record: WholeRecord): RecordTableFile[] {
  return [measures(record), programme(record), sessions(record), told(record), screenings(record)];
}

function nameOf({ members, patient }: WholeRecord, id: string): string {
  if (id === patient.id) return 'the patient';
  return members.find((member) => member.id === id)?.name ?? id;
}

function measures(record: WholeRecord): RecordTableFile {
  const superseded = new Set(record.measurements.map(({ supersedes }) => supersedes));
  return {
    name: 'measures',
    columns: [
      'date',
      'measure',
      'side',
      'value',
      'unit',
      'trials',
      'position',
      'instrument',
      'note',
      'by',
      'standing',
    ],
    rows: record.measurements.map((row) => [
      row.localDate,
      measureName({ ...row, side: null }),
      row.side,
      row.value ?? measureValue(row),
      row.unit,
      row.trials.join(' '),
      row.position,
      row.instrument,
      row.details?.note ?? '',
      nameOf(record, row.authorId),
      standingOf(row, superseded),
    ]),
  };
}

function programme({ lines, versions }: WholeRecord): RecordTableFile {
  const from = new Map(
    versions.map((version) => [`${version.programmeId} ${version.number}`, version]),
  );
  return {
    name: 'programme',
    columns: ['version', 'from', 'place', 'exercise', 'dose', 'day 1', 'why this version'],
    rows: lines.map((line) => {
      const version = from.get(`${line.programmeId} ${line.number}`);
      return [
        line.number,
        version?.effectiveFrom ?? null,
        line.place + 1,
        line.exercise.name,
        line.dose,
        line.anchor,
        version?.reason ?? '',
      ];
    }),
  };
}

/** The sessions of a record: their events together, in the order in which each began. */
export function sessionsOf(events: readonly RecordEvent[]): [RecordEvent, ...RecordEvent[]][] {
  const sessions = new Map<string, [RecordEvent, ...RecordEvent[]]>();
  for (const event of standingEvents(events)) {
    if (event.sessionKey === DAY_KEY) continue;
    const there = sessions.get(event.sessionId);
    if (there) there.push(event);
    else sessions.set(event.sessionId, [event]);
  }
  return [...sessions.values()];
}

/** What became of a session. */
export function endingOf(events: readonly RecordEvent[]): string {
  const stop = events.find(({ body }) => body.type === 'stopped')?.body;
  if (stop?.type === 'stopped') return `stopped: ${stop.because}`;
  return events.some(({ body }) => body.type === 'ended') ? 'ended' : 'not ended';
}

function sessions(record: WholeRecord): RecordTableFile {
  const names = new Map(
    record.lines.map((line) => [
      `${line.programmeId} ${line.number} ${line.lineage}`,
      line.exercise.name,
    ]),
  );
  return {
    name: 'sessions',
    columns: [
      'date',
      'session',
      'version',
      'exercise',
      'repetitions',
      'seconds held',
      'left out',
      'told by',
      'ending',
    ],
    rows: sessionsOf(record.events).flatMap((events) => {
      const ending = endingOf(events);
      return events.flatMap((event) => {
        const { body, localDate, sessionKey, programmeId, version } = event;
        if (body.type !== 'line' && body.type !== 'told') return [];
        const name = names.get(`${programmeId} ${version} ${body.lineage}`) ?? '';
        // Of what was told without a device nothing was counted: it stands as its share.
        const done =
          body.type === 'told'
            ? [null, null, null, `as told: ${percentText(body.share)}`]
            : [
                body.reps.length,
                Math.round(body.reps.reduce((sum, { held }) => sum + held, 0)),
                body.skipped,
                'the phone',
              ];
        return [[localDate, sessionKey, version, name, ...done, ending]];
      });
    }),
  };
}

function told(record: WholeRecord): RecordTableFile {
  return {
    name: 'told',
    columns: ['date', 'what', 'number', 'words'],
    rows: standingEvents(record.events).flatMap(({ body, localDate }) => {
      switch (body.type) {
        case 'check-in':
          return [[localDate, 'pain after a session', body.pain, body.word]];
        case 'daily':
          return [
            [body.date, 'worst pain of the day', body.worst, body.note],
            ...(body.where.length > 0
              ? [[body.date, 'where it was felt', null, body.where.join(', ')]]
              : []),
            ...(body.headache === null
              ? []
              : [[body.date, 'headache', null, body.headache ? 'yes' : 'no']]),
          ];
        case 'morning':
          return [[body.date, 'the morning after', null, body.soreness]];
        case 'weekly':
          return body.activities.map(({ activity, score }) => [body.date, activity, score, '']);
        case 'report': {
          const { complaint, severity, compared, furthest } = body.report;
          const words = [complaint, compared, furthest === null ? '' : `as far as ${furthest}`];
          return [[localDate, 'told in a session', severity, words.filter(Boolean).join('; ')]];
        }
        case 'started':
        case 'line':
        case 'told':
        case 'taken back':
        case 'count':
        case 'stopped':
        case 'ended':
          return [];
      }
    }),
  };
}

function screenings(record: WholeRecord): RecordTableFile {
  return {
    name: 'screenings',
    columns: ['date', 'by', 'question', 'answer', 'what the screening came to'],
    rows: record.screenings.flatMap((row) =>
      Object.entries(row.answers.answers).map(([id, answer]) => [
        row.localDate,
        nameOf(record, row.authorId),
        askedIn(id),
        answer,
        row.outcome,
      ]),
    ),
  };
}

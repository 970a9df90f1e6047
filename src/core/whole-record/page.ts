import { OUTCOME_NAMES, askedIn } from '../screen';
import type { LocalDate } from '../units';
import { fieldName, fieldsInWords } from './fields';
import { endingOf, measureName, measureValue, sessionsOf, standingOf } from './tables';
import { letterText, noteText } from './texts';
import type { RecordLine, WholeRecord } from './whole-record';

/** Text as it may stand in a page: nobody's words are taken for markup. */
export function escapeHtml(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}

const STYLE = `
:root{color-scheme:light dark}
body{font:16px/1.5 system-ui,sans-serif;max-width:60rem;margin:2rem auto;padding:0 1rem}
h1{margin-bottom:0}h2{margin-top:2.5rem;border-bottom:1px solid}h3{margin-bottom:.25rem}
table{border-collapse:collapse;width:100%}th,td{text-align:start;vertical-align:top;padding:.25rem .75rem .25rem 0;border-bottom:1px solid #8886}
.gone{text-decoration:line-through;opacity:.7}.words{white-space:pre-wrap}
@media print{h2,h3,tr{break-after:avoid}tr{break-inside:avoid}}`;

type Cell = string | number | null;

function table(heads: readonly string[], rows: readonly (readonly Cell[])[]): string {
  if (rows.length === 0) return '<p>Nothing is written.</p>';
  const cells = (tag: 'th' | 'td', row: readonly Cell[]) =>
    `<tr>${row.map((cell) => `<${tag} dir="auto">${escapeHtml(String(cell ?? ''))}</${tag}>`).join('')}</tr>`;
  const head = heads.length === 0 ? '' : `<thead>${cells('th', heads)}</thead>`;
  return `<table>${head}<tbody>${rows.map((row) => cells('td', row)).join('')}</tbody></table>`;
}

const words = (text: string) => `<p class="words" dir="auto">${escapeHtml(text)}</p>`;
const list = (items: readonly string[]) =>
  `<ul>${items.map((item) => `<li dir="auto">${escapeHtml(item)}</li>`).join('')}</ul>`;
const section = (title: string, ...parts: readonly string[]) =>
  `<section><h2>${escapeHtml(title)}</h2>${parts.join('')}</section>`;

/**
 * A record as one page that any browser opens and prints, without script and without a network. It shows
 * what the files beside it hold in words; the file of our own is the one that holds everything.
 *
 * @param made when, in words
 * @param say the dose of a line in plain words
 */
export function recordPage(
  record: WholeRecord,
  { made, say }: { made: string; say: (line: RecordLine) => string },
): string {
  const { patient, clinic } = record;
  const by = (id: string) =>
    id === patient.id
      ? 'the patient'
      : (record.members.find((member) => member.id === id)?.name ?? 'somebody');
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width">',
    `<title>${escapeHtml(patient.name)}: the whole record</title><style>${STYLE}</style></head><body>`,
    `<h1 dir="auto">${escapeHtml(patient.name)}</h1>`,
    words(`The whole record at ${clinic.name}, made ${made}.`),
    who(record),
    section(
      'Complaints',
      table(
        ['Complaint', 'Opened', 'Closed'],
        record.episodes.map(({ complaint, openedOn, closedOn }) => [
          complaint,
          openedOn,
          closedOn ?? 'open',
        ]),
      ),
    ),
    screenings(record, by),
    measures(record),
    section(
      'Findings',
      table(
        ['Date', 'Finding', 'Said to it', 'By'],
        record.findings.map(({ localDate, say: said, decision, authorId }) => [
          localDate,
          said,
          decision,
          by(authorId),
        ]),
      ),
    ),
    versions(record, say, by),
    sessions(record),
    section(
      'Pauses',
      table(
        ['From', 'To', 'Cause', 'Reason'],
        record.pauses.map(({ fromDate, toDate, cause, reason }) => [
          fromDate,
          toDate ?? 'open',
          cause,
          reason,
        ]),
      ),
    ),
    entries(record, by),
    texts(record, by),
    '</body></html>',
  ].join('\n');
}

type By = (id: string) => string;

function who({ patient, details }: WholeRecord): string {
  const { phones, email, emergency, guardian, sex, clinicNumber, referrer, hours, reachedBy } =
    details;
  const rows: [string, string][] = [
    ['Birth date', patient.birthDate ?? ''],
    ['Sex', sex ?? ''],
    ['The clinic’s number', clinicNumber],
    ['Telephone', phones.map(({ number, what }) => `${number} ${what}`.trim()).join('; ')],
    ['E-mail', email],
    ['Reached by', [reachedBy ?? '', hours].filter((text) => text !== '').join(', ')],
    ['Emergency contact', fieldsInWords(emergency).join('; ')],
    ['Guardian', fieldsInWords(guardian).join('; ')],
    ['Referrer', [referrer.name, referrer.address].filter((text) => text !== '').join(', ')],
    ['Language', patient.language],
    ['Time zone', patient.zone],
  ];
  return section(
    'Who this is',
    table(
      [],
      rows.filter(([, text]) => text !== ''),
    ),
  );
}

const questions = (count: number) => (count === 1 ? 'One question was' : `${count} questions were`);

function screenings(record: WholeRecord, by: By): string {
  return section(
    'Screenings',
    ...record.screenings.map((row) => {
      const said = Object.entries(row.answers.answers);
      const answered = (answer: string) =>
        said.filter((one) => one[1] === answer).map(([id]) => askedIn(id));
      const yes = answered('yes');
      const untested = answered('not tested');
      const outcome = row.outcome === 'unfinished' ? 'not finished' : OUTCOME_NAMES[row.outcome];
      const head = `${row.localDate}, answered by ${by(row.authorId)}: ${outcome}`;
      return [
        `<h3>${escapeHtml(head)}</h3>`,
        yes.length > 0 ? `<p>Answered yes:</p>${list(yes)}` : '<p>Nothing was answered yes.</p>',
        untested.length > 0 ? `<p>Not tested:</p>${list(untested)}` : '',
        `<p>${questions(answered('no').length)} answered no. A question that is not named was not answered.</p>`,
      ].join('');
    }),
    record.screenings.length === 0 ? '<p>Nobody was screened.</p>' : '',
  );
}

function measures({ measurements }: WholeRecord): string {
  const superseded = new Set(measurements.map(({ supersedes }) => supersedes));
  return section(
    'Measures',
    table(
      ['Date', 'Measure', 'Value', 'Note', 'Standing'],
      measurements.map((row) => [
        row.localDate,
        measureName(row),
        measureValue(row),
        row.details?.note ?? '',
        standingOf(row, superseded),
      ]),
    ),
  );
}

function versions(record: WholeRecord, say: (line: RecordLine) => string, by: By): string {
  return section(
    'Programmes',
    ...record.versions.map((version) => {
      const lines = record.lines.filter(
        (line) => line.programmeId === version.programmeId && line.number === version.number,
      );
      return [
        `<h3>Version ${version.number}, from ${version.effectiveFrom}, by ${escapeHtml(by(version.authorId))}</h3>`,
        version.reason === '' ? '' : words(version.reason),
        version.rounds > 1 ? `<p>Each session ${version.rounds} times.</p>` : '',
        table(
          ['Exercise', 'Dose line', 'In words'],
          lines.map((line) => [line.exercise.name, line.dose, say(line)]),
        ),
      ].join('');
    }),
    record.versions.length === 0 ? '<p>No programme was sent.</p>' : '',
  );
}

function sessions(record: WholeRecord): string {
  return section(
    'Sessions',
    table(
      ['Day', 'Exercises done', 'Pain after, 0–10', 'Ending', 'Said'],
      sessionsOf(record.events).map((events) => {
        const done = events.filter(
          ({ body }) => body.type === 'told' || (body.type === 'line' && body.skipped === null),
        ).length;
        const said = events.flatMap(({ body }) => (body.type === 'check-in' ? [body] : []));
        return [
          firstDay(events),
          done,
          said.at(-1)?.pain ?? 'not told',
          endingOf(events),
          said.map(({ word }) => word).join(' '),
        ];
      }),
    ),
  );
}

const firstDay = (events: readonly { readonly localDate: LocalDate }[]) =>
  events[0]?.localDate ?? '';

function entries(record: WholeRecord, by: By): string {
  const superseded = new Set(record.entries.map(({ supersedes }) => supersedes));
  return section(
    'History, consent, goals and agreements',
    table(
      ['Date', 'What', 'Words', 'By', 'Standing'],
      record.entries.map((row) => [
        row.localDate,
        fieldName(row.kind.replaceAll('-', ' ')),
        row.body === null ? 'taken out' : fieldsInWords(row.body).join('\n'),
        by(row.authorId),
        superseded.has(row.id) ? 'put right later' : 'counts',
      ]),
    ),
  );
}

function texts(record: WholeRecord, by: By): string {
  const all = [
    ...record.notes.map((row) => ({ ...row, title: 'Note', text: noteText(row.body) })),
    ...record.letters.map((row) => ({
      ...row,
      title: row.kind === 'review' ? 'Review' : 'Discharge',
      text: letterText(row.body),
    })),
    ...record.referrals.map((row) => ({ ...row, title: `Referral to ${row.to}`, text: row.text })),
    ...record.referralAnswers.map((row) => ({
      ...row,
      localDate: row.answeredOn,
      title: 'Answer to a referral',
      text: row.text,
    })),
  ].sort((a, b) => a.createdAt - b.createdAt);
  return section(
    'Notes and letters',
    ...all.map(
      ({ localDate, title, text, authorId }) =>
        `<h3 dir="auto">${escapeHtml(`${localDate}: ${title}, by ${by(authorId)}`)}</h3>${words(text)}`,
    ),
    all.length === 0 ? '<p>Nothing is written.</p>' : '',
  );
}

/** The usual four parts of a visit's note. */
export const NOTE_PARTS = ['subjective', 'objective', 'assessment', 'plan'] as const;
export type NotePart = (typeof NOTE_PARTS)[number];
export type NoteText = Readonly<Record<NotePart, string>>;

/** What a visit left in the record, already in words; an empty list is left out. */
export type NoteFacts = {
  readonly complaint: string;
  /** Name of a part of the history → what it says. */
  readonly history: readonly (readonly [name: string, text: string])[];
  readonly irritability: string | null;
  readonly goals: readonly string[];
  /** Outcome of the screening and what fired. */
  readonly screening: readonly string[];
  /** Measures of the visit, each in a sentence. */
  readonly measures: readonly string[];
  readonly findings: readonly string[];
  readonly programme: {
    readonly heading: string;
    readonly lines: readonly string[];
    readonly time: string;
  } | null;
  /** What the teaching showed, each in a sentence. */
  readonly teaching: readonly string[];
  readonly review: string | null;
};

const list = (items: readonly string[]) => items.map((item) => `- ${item}`).join('\n');

/** A heading over a list, or nothing. */
function block(heading: string, items: readonly string[]): string[] {
  return items.length === 0 ? [] : [`${heading}\n${list(items)}`];
}

/**
 * A draft of the visit's note from what is in the record: subjective, objective, assessment, plan.
 * It draws no conclusion that the record does not hold; what is missing is said to be missing.
 */
export function visitNote(facts: NoteFacts): NoteText {
  const history = facts.history.filter(([, text]) => text !== '');
  return {
    subjective: [
      facts.complaint === '' ? 'Complaint not recorded.' : `${facts.complaint}.`,
      ...history.map(([name, text]) => `${name}: ${text}`),
      ...(facts.irritability ? [facts.irritability] : []),
      ...block('Wants to do again:', facts.goals),
    ].join('\n'),
    objective: [
      ...block('Screening:', facts.screening),
      ...block('Measured:', facts.measures),
      ...(facts.measures.length === 0 ? ['Nothing was measured at this visit.'] : []),
    ].join('\n'),
    assessment:
      facts.findings.length === 0
        ? 'No finding is confirmed yet.'
        : block('Confirmed findings:', facts.findings).join('\n'),
    plan: [
      ...(facts.programme
        ? [`${facts.programme.heading}\n${list(facts.programme.lines)}\n${facts.programme.time}`]
        : ['No programme yet.']),
      ...block('Taught:', facts.teaching),
      facts.review ?? 'No review date is set.',
    ].join('\n'),
  };
}

const TITLES: Readonly<Record<NotePart, string>> = {
  subjective: 'Subjective',
  objective: 'Objective',
  assessment: 'Assessment',
  plan: 'Plan',
};

/** The four parts as one plain text, for copying. */
export function noteAsText(note: NoteText): string {
  return NOTE_PARTS.map((part) => `${TITLES[part].toUpperCase()}\n${note[part]}`).join('\n\n');
}

export { TITLES as NOTE_TITLES };

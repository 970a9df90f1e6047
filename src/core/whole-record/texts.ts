import type { WholeRecord } from './whole-record';

/** The four parts of a note under their names; parts nobody wrote are left out. */
export function noteText(body: WholeRecord['notes'][number]['body']): string {
  return (
    [
      ['Subjective', body.subjective],
      ['Objective', body.objective],
      ['Assessment', body.assessment],
      ['Plan', body.plan],
    ] as const
  )
    .filter(([, text]) => text !== '')
    .map(([name, text]) => `${name}\n${text}`)
    .join('\n\n');
}

/** A letter as it was signed, without its head. */
export function letterText(letter: WholeRecord['letters'][number]['body']): string {
  return [
    ...letter.paragraphs,
    ...letter.measures.map(
      ({ name, first, last, verdict }) => `${name}: ${first} → ${last}. ${verdict}`,
    ),
    ...letter.goals,
    ...letter.programme,
    letter.words,
    letter.caution,
    letter.author,
  ]
    .filter((text) => text !== '')
    .join('\n\n');
}

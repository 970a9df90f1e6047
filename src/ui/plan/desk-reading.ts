import { type AskingFinding, type Suggestion, onSide } from '@/core/choose';
import { formatDose, doseOf } from '@/core/dose';
import type { TemplateDraft } from '@/core/records';
import type { Exercise } from '@/core/exercise';
import type { ExerciseId, Frozen, LocalDate } from '@/core/units';
import { v4 as uuid } from 'uuid';
import type { DeskFacts } from './desk-facts';
import type { Desk } from './desk-state';
import { type DeskLine, canonical, newLine, plannedLines } from './draft';

/** A suggestion as the desk shows it; why it is one was worked out with the page. */
export type ShownSuggestion = Omit<Suggestion, 'exercise' | 'findings'> & {
  readonly exerciseId: ExerciseId;
  readonly name: string;
  readonly rung: number;
  /** How many findings it answers. */
  readonly answers: number;
};

/** A suggestion as a line: the usual dose of its exercise, on the side its finding asks for. */
export function lineOf(exercise: Exercise, { side }: Pick<ShownSuggestion, 'side'>): DeskLine {
  const usual = doseOf(exercise.usualDose);
  const dose = onSide(usual, side, exercise);
  return newLine(uuid(), exercise.id, formatDose(dose));
}

/** A template's lines as the desk takes them. */
export function templateLines({ lines }: Frozen<TemplateDraft>): DeskLine[] {
  return lines.map(({ exerciseId, dose, school, session }) => ({
    ...newLine(uuid(), exerciseId, canonical(dose)),
    school: school ?? null,
    session: session ?? null,
  }));
}

/** Families with the words of the findings that ask for them, so that a finding can be searched. */
export function wordsByFamily(findings: readonly AskingFinding[]): Map<string, string[]> {
  const words = new Map<string, string[]>();
  for (const finding of findings)
    for (const family of finding.families)
      words.set(family, [...(words.get(family) ?? []), finding.say, finding.key]);
  return words;
}

/** A desk or version as the difference in words takes it; lines that cannot be read are left out. */
export function comparedDesk(
  { rounds, lines }: Pick<Desk, 'rounds' | 'lines'>,
  catalogue: DeskFacts['catalogue'],
  from: LocalDate,
) {
  const lineage = new Map(lines.map((line) => [line.uid, line.lineage ?? line.uid]));
  return {
    rounds,
    lines: plannedLines(lines, catalogue, from).map((line) => ({
      lineage: lineage.get(line.lineage) ?? line.lineage,
      name: line.exercise.name,
      dose: line.dose,
      session: line.session ?? null,
      setUp: lines.find(({ uid }) => uid === line.lineage)?.setUp,
    })),
  };
}

/// <reference lib="webworker" />
import { type SchoolChoice } from '@/core/school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { parseDose } from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import {
  REHEARSED_KINDS,
  type RehearsedKind,
  type RehearsedProgramme,
  rehearseProgramme,
} from '@/core/rehearsal';

export type ProgrammeQuestion = {
  readonly lines: readonly {
    readonly exercise: Exercise;
    readonly dose: string;
    readonly school: SchoolChoice | null;
  }[];
  readonly rounds: number;
  readonly weeks: number;
  readonly seed: number;
};
export type ProgrammeAnswer = readonly RehearsedProgramme<RehearsedKind>[];

/** A whole programme tried on every made-up patient, away from the page's own thread. */
self.onmessage = ({ data }: MessageEvent<ProgrammeQuestion>) => {
  self.postMessage(rehearseAll(data));
};

function rehearseAll({ lines, rounds, weeks, seed }: ProgrammeQuestion): ProgrammeAnswer {
  const rules = {
    nextRung: nextRungIn(EXERCISES),
    previousRung: previousRungIn(EXERCISES),
    owned: [],
  };
  const tried = lines.flatMap(({ dose, ...line }) => {
    const parsed = parseDose(dose);
    return parsed.ok ? [{ ...line, dose: parsed.value }] : [];
  });
  return REHEARSED_KINDS.map((kind, index) =>
    rehearseProgramme({ lines: tried, rounds }, rules, kind, weeks, (line) => {
      const source = randomLcg((seed + index * 0.137 + line * 0.0719) % 1);
      return { fraction: source, normal: randomNormal.source(source)(0, 1) };
    }),
  );
}

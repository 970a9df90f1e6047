/// <reference lib="webworker" />
import { type SchoolChoice } from '@/core/school';
import { randomLcg, randomNormal } from 'd3';
import { EXERCISES } from '@/catalogue';
import { nextRungIn, previousRungIn } from '@/core/choose';
import { parseDose } from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import type { PrecautionId } from '@/core/screen';
import {
  REHEARSED_KINDS,
  type RehearsedCourse,
  type RehearsedKind,
  rehearse,
} from '@/core/rehearsal';

export type RehearseQuestion = {
  readonly exercise: Exercise;
  readonly dose: string;
  readonly school: SchoolChoice;
  readonly weeks: number;
  readonly seed: number;
  /** What the patient has, and what speaks against growing; nothing known leaves it open. */
  readonly owned: readonly number[];
  readonly ownedUnit: 'kg' | 'lb' | undefined;
  readonly precautions: readonly PrecautionId[];
  readonly goodSessions: number;
  readonly leastRungDays: number;
};
export type RehearseAnswer = readonly RehearsedCourse<RehearsedKind>[];

/** A school tried on every made-up patient, away from the page's own thread. */
self.onmessage = ({ data }: MessageEvent<RehearseQuestion>) => {
  self.postMessage(rehearseAll(data));
};

function rehearseAll({
  exercise,
  dose,
  school,
  weeks,
  seed,
  ...rules
}: RehearseQuestion): RehearseAnswer {
  const parsed = parseDose(dose);
  if (!parsed.ok) return [];
  const [nextRung, previousRung] = [nextRungIn(EXERCISES), previousRungIn(EXERCISES)];
  return REHEARSED_KINDS.map((kind, index) => {
    const source = randomLcg((seed + index * 0.137) % 1);
    const chance = { fraction: source, normal: randomNormal.source(source)(0, 1) };
    return rehearse(
      { exercise, dose: parsed.value, school, nextRung, previousRung, ...rules },
      kind,
      weeks,
      chance,
    );
  });
}

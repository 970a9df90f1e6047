import type { NerveExamination, MovementTrial } from '../symptoms';
import type { HeadOffsets, WedgeHeights } from './fit';
import type { ActivityScore, SectionScores } from './scores';

/** What a measurement holds beside or instead of trials, by its form. */
export type MeasurementBody =
  | { readonly form: 'choice'; readonly option: string }
  | ({ readonly form: 'offsets' } & HeadOffsets)
  | ({ readonly form: 'wedge' } & WedgeHeights)
  | { readonly form: 'cuff'; readonly target: number; readonly holds: number }
  | ({ readonly form: 'nerve' } & NerveExamination)
  | {
      readonly form: 'body';
      readonly regions: readonly string[];
      readonly movements: readonly MovementTrial[];
    }
  | { readonly form: 'activities'; readonly activities: readonly ActivityScore[] }
  | { readonly form: 'sections'; readonly scores: SectionScores }
  | { readonly form: 'pressure'; readonly systolic: number; readonly diastolic: number }
  | {
      readonly form: 'photo';
      readonly photoId: string;
      readonly markingId: string;
      readonly value: number;
    };

/** A cue tried at once, and what it did to the same movement. */
export type Retest = { readonly cue: string; readonly trials: readonly number[] };

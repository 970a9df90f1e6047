import type { Handout, Paper } from '@/core/handout';
import type { LetterTexts, OutcomeLetter } from '@/core/review';

/** What is drawn, as plain facts that cross over to the thread. */
export type PdfOrder =
  | {
      readonly kind: 'handout';
      readonly handout: Handout;
      readonly paper: Paper;
      readonly large: boolean;
    }
  | {
      readonly kind: 'letter';
      readonly letter: OutcomeLetter;
      readonly texts: LetterTexts;
      readonly paper: Paper;
    };

/** The sheet, or the kind of failure and none of its words. */
export type PdfAnswer =
  | { readonly bytes: Uint8Array<ArrayBuffer>; readonly failed?: never }
  | { readonly failed: string };

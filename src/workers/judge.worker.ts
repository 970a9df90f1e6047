/// <reference lib="webworker" />
import { type Followed, type Judged, judgeAll } from '@/core/follow';
import type { LocalDate } from '@/core/units';

export type JudgeQuestion = {
  readonly followed: readonly Followed[];
  readonly seams: readonly LocalDate[];
};
export type JudgeAnswer = readonly Judged[];

/** The verdicts of the Follow page, away from the page's own thread. */
self.onmessage = ({ data }: MessageEvent<JudgeQuestion>) => {
  self.postMessage(judgeAll(data.followed, data.seams) satisfies JudgeAnswer);
};

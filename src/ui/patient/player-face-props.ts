import type { PackLine } from '@/core/exchange';
import type { Moment } from '@/core/figure';
import type { Counting, Playhead } from '@/core/player';
import type { Preferences } from './preferences';

/** What the screen of a session shows and asks for. */
export type PlayerFaceProps = {
  readonly head: Playhead;
  /** Seconds of the segment when the patient goes at their own pace; null by the clock. */
  readonly own: number | null;
  readonly lines: readonly PackLine[];
  readonly mode: 'ready' | 'running' | 'paused' | 'away';
  readonly chosen: Preferences;
  /** The set whose number is asked for; null while none is. */
  readonly counting: Counting | null;
  /** What the set before it came to in this session. */
  readonly countBefore: number | null;
  readonly moment: () => Moment;
  readonly onChoose: (change: Partial<Preferences>) => void;
  readonly onBegin: () => void;
  /** Ready, or done: on to the next segment. */
  readonly onTap: () => void;
  readonly onPause: () => void;
  readonly onBack: () => void;
  readonly onRepeat: () => void;
  readonly onLess: () => void;
  readonly onCount: (reps: number | null, load: number | null) => void;
  readonly onSkip: () => void;
  readonly onStop: () => void;
  readonly onHurt: () => void;
  readonly onLeave: () => void;
};

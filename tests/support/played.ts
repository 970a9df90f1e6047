import { setupI18n } from '@lingui/core';
import { ENGLISH, patientWords } from '@/catalogue';
import type { RepDone } from '@/core/adherence';
import type { PackLine } from '@/core/exchange';
import { type PlayerTold, currentSegment, playerState, playerStep } from '@/core/player';
import { DEFAULT_PACES, sessionTimeline, toPlay, totalSeconds } from '@/core/timeline';
import { segmentSpoken } from '@/ui/patient/segment-words';

const i18n = setupI18n({ locale: 'en', messages: { en: { ...patientWords(ENGLISH) } } });
const say = (key: string, values?: Record<string, unknown>) => i18n._(key, values);

/** Plays a line as the phone does, answering what it asks; what was told, said, and how long it took. */
export function played(line: PackLine, counts: readonly number[]) {
  const segments = toPlay(sessionTimeline([line]), 'least');
  let state = playerState(segments, {
    knowsWhenToStop: true,
    paces: DEFAULT_PACES,
    asks: [line.howMany ?? null],
  });
  const told: PlayerTold[] = [];
  const act = (action: Parameters<typeof playerStep>[1]) => {
    const step = playerStep(state, action);
    state = step.state;
    told.push(...step.told);
  };
  let [at, asked] = [0, 0];
  const spoken: string[] = [];
  act({ type: 'go on', at });
  while (state.mode !== 'over' || state.counting) {
    if (at > 4 * 3600 * 1000) throw new Error('it never ends');
    const segment = currentSegment(state.head);
    if (segment && spoken.at(-1) !== segmentSpoken(segment, line, say))
      spoken.push(segmentSpoken(segment, line, say));
    if (state.counting && (state.mode === 'over' || segment?.kind === 'move')) {
      act({ type: 'count', reps: counts[asked] ?? null, load: null });
      asked += 1;
    } else if (segment?.untilFormFails && segment.rep === 4) act({ type: 'end set' });
    at += 100;
    act({ type: 'tick', at });
  }
  const reps = told.flatMap((one): readonly RepDone[] => (one.type === 'reps' ? one.reps : []));
  const counted = told.flatMap((one) => (one.type === 'counted' ? [one.count.reps] : []));
  return { reps, counted, spoken, seconds: at / 1000, planned: totalSeconds(segments) };
}

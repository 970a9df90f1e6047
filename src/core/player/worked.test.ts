import fc from 'fast-check';
import { SKIP_REASONS } from '../adherence';
import { doseFrom, doseLine } from '../../../tests/support/dose-lines';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { DEFAULT_PACES, type PaceName, resolve, sessionTimeline } from '../timeline';
import { seconds } from '../units';
import {
  type PlayerAction,
  type PlayerState,
  type PlayerTold,
  advance,
  back,
  breakOff,
  breathAt,
  cueAt,
  currentSegment,
  isOver,
  learnPace,
  paceOf,
  playerState,
  playerStep,
  restartLine,
  secondsInto,
  secondsLeft,
  sessionLeft,
  skipLine,
  startAt,
  tapDone,
} from '.';

const LINES = drawnCases(doseLine, 40, 41);
const session = (i: number) =>
  resolve(
    sessionTimeline(
      [LINES[i % 40] ?? 'x5', LINES[(i + 7) % 40] ?? 'x5'].map((line) => ({
        dose: doseFrom(line),
        mode: i % 2 ? ('held' as const) : ('moved' as const),
        position: i % 3 ? 'sitting' : 'lying',
      })),
      1 + (i % 2),
    ),
    i % 4 ? 'least' : 'most',
  );

const action: fc.Arbitrary<{ readonly act: string; readonly by: number }> = fc.record({
  act: fc.constantFrom(
    'tick',
    'tick',
    'tick',
    'tick',
    'tick',
    'tick',
    'tap',
    'tap',
    'go on',
    'go on',
    'pause',
    'hurting',
    'back',
    'repeat line',
    'end set',
    'skip',
    'enough',
    'symptom',
    'own pace',
    'its pace',
    'understood',
  ),
  by: fc.constantFrom(100, 400, 900, 1500, 2900, 3000, 3001, 6000),
});
function toAction({ act, by }: { act: string; by: number }, at: number): PlayerAction {
  switch (act) {
    case 'tap':
    case 'tick':
    case 'go on':
      return { type: act, at };
    case 'pause':
      return { type: 'stand still', as: 'paused' };
    case 'hurting':
      return { type: 'stand still', as: 'hurting' };
    case 'back':
    case 'repeat line':
    case 'understood':
      return { type: act };
    case 'end set':
      return { type: 'end set' };
    case 'skip':
      return { type: 'leave out', reason: SKIP_REASONS[by % SKIP_REASONS.length] ?? 'other' };
    case 'enough':
    case 'symptom':
      return { type: 'break off', because: act };
    case 'own pace':
      return { type: 'own pace', on: true };
    default:
      return { type: 'own pace', on: false };
  }
}

it('any hands on a session', () => {
  expect(
    drawnCases(fc.array(action, { minLength: 40, maxLength: 90 }), 60, 43).map((actions, i) => {
      let state: PlayerState = playerState(session(i), {
        knowsWhenToStop: i % 5 !== 0,
        paces: DEFAULT_PACES,
        index: i % 7 === 0 ? 3 : 0,
        ownPace: i % 4 === 0,
      });
      let at = 1000;
      const told: PlayerTold[] = [];
      const seen: unknown[] = [];
      for (const one of [{ act: 'go on', by: 0 }, ...actions]) {
        at += one.by;
        const step = playerStep(state, toAction(one, at));
        state = step.state;
        told.push(...step.told);
        seen.push([
          state.mode,
          state.head.index,
          rounded(secondsInto(state, at + 250)),
          rounded(secondsLeft(state.head)),
          rounded(sessionLeft(state.head)),
        ]);
      }
      return asLine(
        state.mode,
        state.head.index,
        isOver(state.head),
        told.map(({ type }) => type).join(' '),
        digest(rounded(told)),
        digest(seen),
        rounded(state.paces),
      );
    }),
  ).toMatchSnapshot();
});

it('the playhead, step by step', () => {
  const sessions = [session(3), session(2), session(5)];
  expect(
    sessions.flatMap((segments) =>
      [0, 1, 2, 3, 5, 8, segments.length - 1, segments.length, segments.length + 4].flatMap(
        (index) =>
          [0, 0.5, 1, 1.4, 1.5, 1.6, 4, 30, 10_000].map((passed) => {
            const { playhead, reps } = advance(startAt(segments, index), seconds(passed));
            return asLine(
              index,
              passed,
              playhead.index,
              rounded(playhead.elapsed),
              rounded([playhead.held, playhead.moved]),
              reps.length,
              back(playhead).index,
              restartLine(playhead).index,
              skipLine(playhead).playhead.index,
              breakOff(playhead).length,
              rounded(secondsLeft(playhead)),
              paceOf(playhead),
              tapDone(playhead, passed).reps.length,
              tapDone(playhead, 0.2).playhead.index,
              currentSegment(playhead)?.kind ?? null,
            );
          }),
      ),
    ),
  ).toMatchSnapshot();
});

it('paces learned, breaths and cues', () => {
  expect(
    (Object.keys(DEFAULT_PACES) as PaceName[]).map((name) =>
      asLine(
        name,
        [0, 0.5, 2, 5, 20, 500].map((took) => learnPace(DEFAULT_PACES, name, took)[name]),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    [
      { in: 4, hold: 4, out: 4 },
      { in: 4, hold: 0, out: 6 },
      { in: 1, hold: 0, out: 1 },
    ].flatMap((breath) =>
      [0, 3.9, 4, 7.9, 8, 11.9, 12, 13].map((at) => asLine(breath, at, breathAt(breath, at))),
    ),
  ).toMatchSnapshot();
  expect(
    [0, 1, 2, 3, 4, 6, 7].flatMap((rep) =>
      [[], ['chin down'], ['chin down', 'long neck']].flatMap((cues) =>
        (['held', null] as const).map((work) =>
          cueAt({ work, rep, kind: 'hold' }, 1, undefined, cues),
        ),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    cueAt({ work: 'moved', rep: 3, kind: 'move' }, 5, { in: 4, hold: 4, out: 4 }, []),
  ).toMatchSnapshot();
});

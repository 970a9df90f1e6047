import type { SessionEventBody, StoredEventBody } from '../adherence';
import { foldSession } from '../adherence';
import { parseDose } from '../dose';
import type { WallMinute, Zone } from '../schedule';
import { localDate } from '../units';
import { type KeptEvent, foldEvents, placeTold, withTarget } from '.';

const DAY = localDate('2026-11-25');
const sessions = [
  { key: 'session-1', lineages: ['a', 'b'] },
  { key: 'session-2', lineages: ['a'] },
];

describe('what was told of a day', () => {
  it.each<[string, string[], [string, number][], string[], [string, number][]]>([
    ['once', [], [['a', 1]], ['session-1 a'], []],
    ['in every session that holds it', [], [['a', 2]], ['session-1 a', 'session-2 a'], []],
    [
      'beside another',
      [],
      [
        ['a', 1],
        ['b', 1],
      ],
      ['session-1 a b'],
      [],
    ],
    ['after a session the phone told of', ['session-1'], [['a', 1]], ['session-2 a'], []],
    ['more often than there is room', [], [['b', 3]], ['session-1 b'], [['b', 2]]],
    ['not at all', [], [['a', 0]], [], []],
    ['of a line that is not due', [], [['z', 1]], [], [['z', 1]]],
  ])('finds its place: %s', (_name, taken, told, placed, beyond) => {
    const found = placeTold(
      sessions,
      new Set(taken),
      told.map(([lineage, times]) => ({ lineage, times })),
    );
    expect(found.sessions.map(({ key, lineages }) => [key, ...lineages].join(' '))).toEqual(placed);
    expect(found.beyond.map(({ lineage, times }) => [lineage, times])).toEqual(beyond);
  });
});

describe('a line written down as told', () => {
  const dose = parseDose('3x10');
  if (!dose.ok) throw new Error(dose.say);
  const line = withTarget(
    { lineage: 'a', anchor: DAY, dose: dose.value, mode: 'moved', position: 'lying' },
    1,
  );
  const version = { number: 1, effectiveFrom: DAY, reviewOn: null, rounds: 1, lines: [line] };
  const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
  const event = (body: StoredEventBody, writtenBy: string | null): KeptEvent => ({
    id: body.type,
    sessionId: 's',
    sessionKey: 'session-1',
    version: 1,
    body,
    deviceAt: Date.parse('2026-11-25T12:00:00Z'),
    skewMs: 0,
    offsetMs: 0,
    writtenBy,
  });
  const fold = (...events: KeptEvent[]) =>
    foldEvents(DAY, events, [version], { zone: 'Europe/Lisbon' as Zone, waking });

  it('counts as the share that was told, with nothing counted or held, and says who told it', () => {
    const told = fold(event({ type: 'told', lineage: 'a', share: 1 }, 'member'));
    expect(told.done.lines).toEqual([{ lineage: 'a', shares: [1], beyondMost: 0 }]);
    expect(told.done.sessions[0]).toMatchObject({
      share: 1,
      lines: [{ lineage: 'a', share: 1, reps: 0, heldSeconds: 0, hold: null, sets: [] }],
    });
    expect(told.report.writtenDown).toBe(true);
    expect(
      fold(event({ type: 'told', lineage: 'a', share: 0.5 }, 'member')).done.sessions[0]?.share,
    ).toBe(0.5);
  });

  it('is no word of a device', () => {
    const started: SessionEventBody = { type: 'started' };
    expect(fold(event(started, null)).report.writtenDown).toBe(false);
    expect(foldSession('s', DAY, [started]).lines).toEqual([]);
  });
});

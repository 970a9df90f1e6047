import {
  courseIn,
  decision,
  line,
  on,
  record,
  session,
  version,
} from '../../../tests/support/follow-record';
import { formatDose } from '../dose';
import { NOTHING_DONE } from '../history';
import { SHIPPED } from '@/catalogue';
import { type Decided, type FollowRecord, courseOf } from '.';

describe('the course of a line', () => {
  const now = line('10x10s');
  const doses = (found: ReturnType<typeof courseIn>) =>
    found.course.map(({ dose, from, exercise }) => [exercise.id, formatDose(dose), from]);

  it('is every dose it had, and one that only ends on another day is the same', () => {
    const versions = [
      version(1, -20, line('10x10s')),
      version(2, -15, line('5x10s')),
      version(3, -10, now),
      version(4, -5, line('10x10s until review'), line('x10', 'other')),
    ];
    expect(doses(courseIn({ versions }, line('10x10s until review')))).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lying', '5x10s', on(-15)],
      ['tuck-lying', '10x10s until review', on(-10)],
    ]);
  });

  it('goes on through a step of its stairs, and not into another exercise', () => {
    const step = { ...line('x10 hold 3s', 'lighten'), exerciseId: 'tuck-lighten' };
    const versions = [
      version(1, -20, line('10x10s'), line('x10', 'other')),
      version(2, -5, step, line('x10', 'other')),
    ];
    const found = courseIn({ versions }, step);
    expect(doses(found)).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lighten', 'x10 hold 3s', on(-5)],
    ]);
    expect([...found.lineages]).toEqual(['tuck', 'lighten']);
    const row = { ...line('x10', 'row'), exerciseId: 'band-row' };
    expect(doses(courseIn({ versions: [version(1, -20, now), version(2, -5, row)] }, row))).toEqual(
      [['band-row', 'x10', on(-5)]],
    );
  });

  it('takes the place of the nearest step that went, where several went', () => {
    const step = (exerciseId: string) => ({ ...line('x10', exerciseId), exerciseId });
    const now3 = { ...line('x10 hold 3s', 'now'), exerciseId: 'tuck-lift' };
    for (const gone of [
      ['tuck-lying', 'tuck-lighten'],
      ['tuck-lighten', 'tuck-lying'],
    ]) {
      const versions = [version(1, -20, ...gone.map(step)), version(2, -5, now3)];
      expect([...courseIn({ versions }, now3).lineages]).toEqual(['tuck-lighten', 'now']);
    }
  });

  it('is remembered where the line was left out for a while and written anew', () => {
    const again = line('10x5s', 'anew');
    const versions = [
      version(1, -20, line('10x10s'), line('x10', 'other')),
      version(2, -10, line('x10', 'other')),
      version(3, -5, again, line('x10', 'other')),
    ];
    expect(doses(courseIn({ versions }, again))).toEqual([
      ['tuck-lying', '10x10s', on(-20)],
      ['tuck-lying', '10x5s', on(-5)],
    ]);
    // A line that still stands is nobody else's past.
    const both = [version(1, -20, line('10x10s')), version(2, -5, line('10x10s'), again)];
    expect(doses(courseIn({ versions: both }, again))).toEqual([['tuck-lying', '10x5s', on(-5)]]);
  });

  it('is found anew with another decision, and with another beginning of care', () => {
    const versions = [version(1, -60, line('5x10s')), version(2, -20, now)];
    const decisions = [decision({ toDose: '10x10s' })];
    const found = (more: Parameters<typeof courseIn>[2]) =>
      courseIn({ versions }, now, more).course.map(({ by }) => by);
    const twice = () => [found({ decisions }), found({ decisions: [] })];
    expect(twice()).toEqual([
      ['a clinician', 'a proposal'],
      ['a clinician', 'a clinician'],
    ]);
    expect(twice()).toEqual(twice());
    const none: Decided[] = [];
    const since = (episodeFrom: FollowRecord['episodeFrom']) =>
      found({ decisions: none, episodeFrom }).length;
    expect([since(null), since(on(-30)), since(null)]).toEqual([2, 1, 2]);
  });

  it('is of the exercise as the clinic has it now, also where that was changed', () => {
    const of = { ...record({ versions: [version(1, -20, now)] }) };
    const renamed = (id: string) => {
      const one = SHIPPED.byId(id);
      return one && { ...one, name: 'Another name' };
    };
    const names = (byId: typeof renamed) =>
      courseOf(of, now, byId).course.map(({ exercise }) => exercise.name);
    const [shipped] = names(SHIPPED.byId);
    expect(names(renamed)).toEqual(['Another name']);
    expect(names(SHIPPED.byId)).toEqual([shipped]);
  });

  it('begins with the episode', () => {
    const versions = [version(1, -60, line('5x10s')), version(2, -20, now)];
    expect(doses(courseIn({ versions }, now, { episodeFrom: on(-30) }))).toHaveLength(1);
    expect(doses(courseIn({ versions }, now))).toHaveLength(2);
  });

  it('knows a dose that was proposed and accepted from one that a clinician wrote', () => {
    const versions = [version(1, -20, line('10x5s')), version(2, -10, now)];
    const by = (change: Partial<Decided>) =>
      courseIn({ versions }, now, { decisions: [decision(change)] }).course.map((one) => one.by);
    expect(by({})).toEqual(['a clinician', 'a proposal']);
    expect(by({ decision: 'edited' })[1]).toBe('a clinician');
    expect(by({ toDose: '10x7s' })[1]).toBe('a clinician');
    expect(by({ version: 2 })[1]).toBe('a clinician');
  });
});

describe('a line’s sessions', () => {
  const logs = (change: Partial<FollowRecord['facts']>) =>
    courseIn(change).course.flatMap(({ sessions }) => sessions);
  it('belong to the dose of the version they were played from, each with its next morning', () => {
    const versions = [version(1, -20, line('10x5s')), version(2, -3, line('10x10s'))];
    const done = new Map([
      [on(-2), { ...NOTHING_DONE, sessions: [session({ pain: 5, version: 2 })] }],
      // Told late, of the dose before.
      [on(-1), { ...NOTHING_DONE, sessions: [session({ pain: 7, version: 1 })] }],
      [on(-4), { ...NOTHING_DONE, sessions: [session({ pain: 1, version: 1 })] }],
    ]);
    const found = courseIn({ versions, done }).course.map(({ sessions }) =>
      sessions.map(({ date, pain, nextMorning }) => [date, pain, nextMorning]),
    );
    expect(found).toEqual([
      [
        [on(-4), 1, null],
        [on(-1), 7, null],
      ],
      [[on(-2), 5, 'still sore']],
    ]);
  });
  it('tell a stop that stands from one that was let go on', () => {
    const stopped = session({ state: 'stopped for a symptom' });
    const done = new Map([[on(-1), { ...NOTHING_DONE, sessions: [stopped, session()] }]]);
    const kinds = (to: ReturnType<typeof on> | null) =>
      logs({ done, pauses: [{ from: on(0), to }] }).map((log) => log.stopped);
    expect(kinds(null)).toEqual(['stands', 'no']);
    expect(kinds(on(1))).toEqual(['let go on', 'no']);
  });
});

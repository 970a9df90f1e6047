import { SHIPPED, catalogueOf } from '@/catalogue';
import { recordCase } from '../../../tests/support/record-cases';
import { drawnCases } from '../../../tests/support/worked';
import { FIRST } from '../../../tests/support/programme-cases';
import type { Course } from '../course';
import { doseOf } from '../dose';
import type { Exercise } from '../exercise';
import type { SentLine } from '../programme';
import { type LineOutlook, stays } from '../progression';
import type { WallMinute } from '../schedule';
import { NO_SETTINGS } from '../school';
import { type LocalDate, addDays } from '../units';
import {
  type Choice,
  type FollowRecord,
  type OutlookLimits,
  judgedVersion,
  openProposals,
  outlook,
} from '.';
import { type Given, outlookAsBefore } from './kept';

const LIMITS = { goodSessions: 3, leastRungDays: 7 };
const CASES = drawnCases(recordCase, process.env.EVERY_CASE ? 12 : 3, 17);

type Asked = {
  readonly record: FollowRecord;
  readonly catalogue: Choice;
  readonly limits: OutlookLimits;
};
const of = ({ record, catalogue, limits }: Asked) => outlook(record, catalogue, limits);
const said = (asked: Asked) => JSON.stringify(of(asked));
/** The same with no object that anything is known of. */
const unseen = (asked: Asked): Asked => ({ ...asked, record: structuredClone(asked.record) });
const asked = (record: FollowRecord): Asked => ({ record, catalogue: SHIPPED, limits: LIMITS });

/** Everything that is no session and no report, and changes what is found. */
const CHANGES: Readonly<Record<string, (was: Asked) => Asked>> = {
  'the day': ({ record, ...rest }) => ({
    ...rest,
    record: { ...record, facts: { ...record.facts, today: addDays(record.facts.today, 9) } },
  }),
  'what a screening named': ({ record, ...rest }) => ({
    ...rest,
    record: {
      ...record,
      precautions: ['instability', 'lumbar narrowing', 'osteoporosis'],
    },
  }),
  'a step that slides': ({ record, ...rest }) => ({
    ...rest,
    record: { ...record, stepSlides: !record.stepSlides },
  }),
  'a nerve that lost': ({ record, ...rest }) => ({
    ...rest,
    record: { ...record, deficitSince: record.facts.today },
  }),
  'home and body': ({ record, ...rest }) => ({
    ...rest,
    record: {
      ...record,
      home: {
        props: [],
        cannot: ['lying on back', 'lying face down', 'hands and knees'],
        weights: [7],
        unit: 'kg',
        minutesADay: 10,
        wake: 420 as WallMinute,
        sleep: 1320 as WallMinute,
      } as never,
    },
  }),
  'faults at teaching': ({ record, ...rest }) => ({
    ...rest,
    record: {
      ...record,
      faults: new Map(judgedVersion(record)?.lines.map(({ lineage }) => [lineage, 2])),
    },
  }),
  'a maximum that grew': ({ record, ...rest }) => ({
    ...rest,
    record: {
      ...record,
      improved: new Map(
        (['strength-forward', 'strength-back', 'strength-side', 'strength-turn'] as const).map(
          (kind) => [kind, record.facts.today] as const,
        ),
      ),
    },
  }),
  'what was decided': ({ record, ...rest }) => ({
    ...rest,
    record: {
      ...record,
      decisions: openProposals(record, outlook(record, SHIPPED, LIMITS)).map((proposal) => ({
        key: proposal.key,
        lineage: proposal.lineage,
        version: judgedVersion(record)?.number ?? 1,
        decision: 'declined' as const,
        move: proposal.move,
        event: proposal.event,
        toDose: proposal.to,
        toExerciseId: null,
        localDate: record.facts.today,
      })),
    },
  }),
  'how many good days are asked': ({ limits, ...rest }) => ({
    ...rest,
    limits: { ...limits, goodSessions: 1 },
  }),
  'how long a step takes': ({ limits, ...rest }) => ({
    ...rest,
    limits: { ...limits, leastRungDays: 400 },
  }),
  'the exercises there are': ({ record, ...rest }) => {
    const kept = judgedVersion(record)?.lines.map(({ exerciseId }) => exerciseId) ?? [];
    return {
      ...rest,
      record,
      catalogue: { ...SHIPPED, all: SHIPPED.all.filter(({ id }) => kept.includes(id)) },
    };
  },
};

const exercise = SHIPPED.all[0] as Exercise;
const DOSE = doseOf(exercise.usualDose);
const COURSE: Course = [
  { exercise, dose: DOSE, school: null, from: FIRST, by: 'a clinician', sessions: [] },
];
const GIVEN: Given = {
  lineage: 'a',
  exercise,
  course: COURSE,
  school: null,
  today: FIRST,
  goodSessions: 3,
  leastRungDays: 7,
  precautions: ['latex'],
  owned: [2, 4],
  ownedUnit: 'kg',
  bands: [],
  faults: 0,
  limb: null,
  limbSince: null,
  improvedOn: null,
  decided: { events: new Set(['flare on a day']), declinedOn: null, askedOn: null },
  catalogue: SHIPPED.all,
  home: null,
};
/** Another value of each: lists as long, a set as large. */
const OTHERS: Required<Given> = {
  lineage: 'b',
  exercise: SHIPPED.all[1] as Exercise,
  course: [{ ...COURSE[0], from: addDays(FIRST, 1) }],
  school: { id: 'lengthen', settings: NO_SETTINGS },
  today: addDays(FIRST, 1),
  goodSessions: 4,
  leastRungDays: 8,
  precautions: ['instability'],
  owned: [2, 5],
  ownedUnit: 'lb',
  bands: [{ name: 'light' }] as never,
  faults: 1,
  limb: 'drawing in',
  limbSince: FIRST,
  improvedOn: FIRST,
  decided: { events: new Set(['flare on another']), declinedOn: null, askedOn: null },
  catalogue: SHIPPED.all.slice(1),
  home: {} as never,
};

describe('what was found of a line is kept', () => {
  it('the very same, where nothing of the line is another', () => {
    for (const { record } of CASES) {
      const before = of(asked(record));
      const again = of(asked({ ...record, facts: { ...record.facts } }));
      again.forEach((one, at) => expect(one).toBe(before[at]));
      // A clinic's own exercise leaves what was found of the others as it was, in words.
      expect(said({ ...asked(record), catalogue: catalogueOf([]) })).toBe(JSON.stringify(before));
    }
  });

  it('but not beyond another word on anything else of the record', () => {
    let changed = 0;
    for (const { record } of CASES)
      for (const [name, change] of Object.entries(CHANGES)) {
        const before = asked(record);
        const first = said(before);
        const now = change(before);
        expect([name, said(now)]).toEqual([name, said(unseen(now))]);
        if (said(now) !== first) changed += 1;
        expect([`${name}, taken back`, said(before)]).toEqual([`${name}, taken back`, first]);
      }
    // Changes that no record shows would hold nothing.
    expect(changed).toBeGreaterThan(CASES.length);
  });

  it.each(Object.keys(OTHERS) as (keyof Given)[])('and never where %s is another', (name) => {
    const line = {} as SentLine;
    const found: LineOutlook[] = [];
    const find = (given: Given) => {
      const outlook = { lineage: 'a', kind: 'stay', step: stays('', '') } as const;
      return outlookAsBefore(line, given, () => {
        found.push(outlook);
        return outlook;
      });
    };
    const first = find(GIVEN);
    expect(find({ ...GIVEN })).toBe(first);
    const other = find({ ...GIVEN, [name]: OTHERS[name] });
    expect(other).not.toBe(first);
    // What was found last is kept, and nothing of before it.
    expect(find(GIVEN)).not.toBe(first);
    expect(found).toHaveLength(3);
  });

  it.each(['declinedOn', 'askedOn'] as const)(
    'and never where %s of what was decided is',
    (name) => {
      const line = {} as SentLine;
      let times = 0;
      const find = (decided: Given['decided']) =>
        outlookAsBefore(line, { ...GIVEN, decided }, () => {
          times += 1;
          return { lineage: 'a', kind: 'stay', step: stays('', '') };
        });
      find(GIVEN.decided);
      find({ ...GIVEN.decided, [name]: FIRST });
      find({ ...GIVEN.decided, [name]: addDays(FIRST, 1) });
      expect(times).toBe(3);
    },
  );

  it('and the newest day of a line alone is found anew', () => {
    const [{ record } = { record: null }] = CASES;
    const dates = [...(record?.facts.done.keys() ?? [])].sort();
    const [date] = dates.slice(-1) as [LocalDate];
    const done = record?.facts.done.get(date);
    if (!record || !done) throw new Error('nothing done');
    const before = new Map(of(asked(record)).map((one) => [one.lineage, one]));
    const [told] = done.sessions.flatMap(({ lines }) => lines.map(({ lineage }) => lineage));
    const sessions = done.sessions.map((session) => ({
      ...session,
      lines: session.lines.map((line) =>
        line.lineage === told ? { ...line, share: line.share / 2 } : line,
      ),
    }));
    const facts = {
      ...record.facts,
      done: new Map(record.facts.done).set(date, { ...done, sessions }),
    };
    const after = of(asked({ ...record, facts }));
    const again = after.filter((one) => before.get(one.lineage) !== one);
    expect(again.map(({ lineage }) => lineage)).toEqual([told]);
    expect(after.length).toBeGreaterThan(1);
  });
});

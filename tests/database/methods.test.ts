import { NO_SETTINGS } from '@/core/school';
import { rmSync } from 'node:fs';
import { formatDose, readTyped } from '@/core/dose';
import type { PackLine } from '@/core/exchange';
import type { SchoolId } from '@/core/exercise';
import { closeDatabase } from '@/db';
import { deskOf } from '@/server/plan';
import { patientPack } from '@/server/patient-pack';
import { handoutOf } from '@/server/visit/handout';
import { readLine } from '@/ui/plan/draft';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { played } from '../support/played';
import { temporaryFolder } from '../support/server';
import { type Stage, patientOf } from '../support/stage';

/**
 * How the work is done, typed as a clinician types it, sent, played to its end and printed: what the
 * desk reads back, what plays, what is counted and what is on paper are one computation. Methods and
 * doses: common practice, no source. Counts and held seconds were reckoned by hand.
 */
type Method = {
  readonly name: string;
  readonly exercise: string;
  /** As it is printed; the others are other ways of typing it. */
  readonly line: string;
  readonly typed: readonly string[];
  readonly school?: SchoolId;
  /** Repetitions or bouts of one session, both sides, all directions. */
  readonly reps: number;
  /** Seconds held, lain or moved as written; 0 where only repetitions are. */
  readonly seconds: number;
  /** Sides and directions in the order they are done. */
  readonly ways: readonly string[];
  /** Sets that are asked for, and what is answered. */
  readonly counts?: readonly number[];
};

const METHODS: readonly Method[] = [
  {
    name: 'nod and hold with the finger check, ten times five seconds',
    exercise: 'nod-hold-finger-check',
    line: '10x5s gap 3s 1-3/day daily',
    typed: ['10 x 5 sec, gap 3 sec, 1-3x/day daily', '10x5" gap 3" 1-3 times a day daily'],
    reps: 10,
    seconds: 50,
    ways: [],
  },
  {
    name: 'tuck lying with belly breathing four, four, four',
    exercise: 'tuck-lying',
    line: '5x12s breath 4-4-4 gap 5s daily',
    typed: ['5 x 12 seconds, breath 4-4-4, gap 5 sec, qd'],
    reps: 5,
    seconds: 60,
    ways: [],
  },
  {
    name: 'tuck and lighten, the hold lengthened',
    exercise: 'tuck-lighten',
    line: 'x10 hold 3s gap 2s daily',
    typed: ['10 reps, 3s hold, gap 2s, every day', '10 reps hold for 3 sec gap 2 sec qd'],
    school: 'lengthen',
    reps: 10,
    seconds: 30,
    ways: [],
  },
  {
    name: 'tuck with small turns of ten and twenty degrees, sides in turn',
    exercise: 'tuck-turn-nod',
    line: 'x5 hold 3s at 10/20deg alternating daily',
    typed: ['x5 hold 3 sec at 10/20deg alt sides qd'],
    reps: 20,
    seconds: 60,
    ways: ['left', 'right'],
  },
  {
    name: 'tuck over the bench edge, a minute three times a day',
    exercise: 'tuck-bench-edge',
    line: '60s 3/day daily',
    typed: ['1 min tid daily', "1' 3x/day daily", '60 sec, three times a day, daily'],
    reps: 1,
    seconds: 60,
    ways: [],
  },
  {
    name: 'six-way holds against one’s own hand',
    exercise: 'six-way-hold',
    line: '3x10s in 6 directions gap 5s 30% daily',
    typed: ['3 x 10 sec in 6 directions gap 5 sec 30% mvc qd'],
    reps: 18,
    seconds: 180,
    ways: [
      'forwards',
      'backwards',
      'to the left',
      'to the right',
      'turning to the left',
      'turning to the right',
    ],
  },
  {
    name: 'four-way ball, the two directions that do not hurt',
    exercise: 'four-way-ball',
    line: '5x3s in front/left gap 2s 30% daily',
    typed: ['5 x 3 sec in front/left gap 2 sec 30% daily'],
    reps: 10,
    seconds: 30,
    ways: ['forwards', 'to the left'],
  },
  {
    name: 'wall press into a pad, thirty towards sixty seconds',
    exercise: 'wall-press',
    line: '3x30s gap 60s rpe 3-5 daily',
    typed: ['3 sets of 30 sec gap 60 sec rpe 3-5 daily', '30s x 3, gap 60s, rpe 3-5, qd'],
    school: 'lengthen',
    reps: 3,
    seconds: 90,
    ways: [],
  },
  {
    name: 'side hold against a band, each side',
    exercise: 'side-band-hold',
    line: '3x30s gap 30s each side rpe 4 daily',
    typed: ['3 x 30 sec gap 30 sec L/R rpe 4 daily', '3x30" gap 30" both sides rpe 4 qd'],
    reps: 6,
    seconds: 180,
    ways: ['left', 'right'],
  },
  {
    name: 'shrug hold for pain relief, one unbroken minute',
    exercise: 'shrug-hold',
    line: 'x1 hold 60s 40-50% daily',
    typed: ['1 rep hold 1 min 40-50% mvc qd'],
    school: 'pain-relief',
    reps: 1,
    seconds: 60,
    ways: [],
  },
  {
    name: 'resisted through the range, forward, back and to both sides',
    exercise: 'resisted-range',
    line: '2x10 in 4 directions rest 60s 40% every other day',
    typed: [
      '2 sets of 10 in 4 directions, rest 60 sec, 40%, qod',
      '2x10 reps in 4 directions 60s rest 40% eod',
    ],
    reps: 80,
    seconds: 0,
    ways: ['forwards', 'backwards', 'to the left', 'to the right'],
  },
  {
    name: 'glides sideways, forward and back without tipping',
    exercise: 'glide-press',
    line: 'x10 hold 1s in left/right/front/back 20% daily',
    typed: ['10 reps hold 1 sec in left/right/front/back 20% daily'],
    reps: 40,
    seconds: 40,
    ways: ['to the left', 'to the right', 'forwards', 'backwards'],
  },
  {
    name: 'side-neck stretch by barriers, the side that is short',
    exercise: 'side-neck-stretch',
    line: '30s at 3 barriers right daily',
    typed: ['30 sec at 3 barriers R only qd', '30" at 3 barriers, right side only, daily'],
    school: 'barriers',
    reps: 1,
    seconds: 90,
    ways: ['right'],
  },
  {
    name: 'cloth-assisted turns high in the neck, a minute or two each side',
    exercise: 'cloth-rotation',
    line: '1-2min each side daily',
    typed: ['1-2 min ea side qd', '60 - 120 sec L/R daily'],
    reps: 2,
    seconds: 120,
    ways: ['left', 'right'],
  },
  {
    name: 'wedge lying, built up from five towards ten minutes',
    exercise: 'wedge-lying',
    line: '5-10min 1-2/day daily',
    typed: ['5-10 minutes 1-2x/day daily', '5 - 10 mins, 1-2 times a day, qd'],
    reps: 1,
    seconds: 300,
    ways: [],
  },
  {
    name: 'looking up with the backward push kept',
    exercise: 'look-up-push',
    line: 'x5-10 hold 3-5s gap 3s daily',
    typed: ['5-10 reps hold 3-5 sec gap 3 sec daily', '5 to 10 reps, 3-5s hold, gap 3s, qd'],
    reps: 5,
    seconds: 15,
    ways: [],
    counts: [7],
  },
  {
    name: 'median nerve slider, smooth, one to three times a day',
    exercise: 'median-slider',
    line: 'x10 move 4s each side 1-3/day daily',
    typed: ['10 reps move 4 sec bilat 1-3x/day qd'],
    reps: 20,
    seconds: 80,
    ways: ['left', 'right'],
  },
  {
    name: 'repeated movements for the low back: standing back-bends through the day',
    exercise: 'standing-back-bend',
    line: 'x10 every 2h daily',
    typed: ['10 reps q2h daily', '10 times every 2 hours qd'],
    school: 'repeated',
    reps: 10,
    seconds: 0,
    ways: [],
  },
  {
    name: 'curl-up in descending sets of six, four and two',
    exercise: 'curl-up',
    line: '6-4-2 hold 10s rest 20-30s daily',
    typed: [
      '6-4-2 hold 10 sec rest 20-30 sec qd',
      '6-4-2, hold for 10 seconds, 20-30s rest, daily',
    ],
    school: 'descending-sets',
    reps: 12,
    seconds: 120,
    ways: [],
  },
  {
    name: 'knee-straightening holds at three angles, one set an angle',
    exercise: 'knee-angle-hold',
    line: '5x5s at 3 angles rest 60s 50% every other day',
    typed: ['5 x 5 sec at 3 angles rest 60 sec 50% qod'],
    school: 'angles',
    reps: 15,
    seconds: 75,
    ways: [],
  },
  {
    name: 'a posture reset by the millimetre, every two hours',
    exercise: 'posture-reset',
    line: '30s tuck 25-38mm every 2h daily',
    typed: ['30 sec tuck 25-38mm every 2 hours qd'],
    reps: 1,
    seconds: 30,
    ways: [],
  },
  {
    name: 'volume, then load: three sets of ten to fifteen, counted by the patient',
    exercise: 'band-row',
    line: '3x10-15 5kg rest 60s rpe 6 mon wed fri',
    typed: ['3 sets of 10-15 reps 5kg rest 60 sec rpe 6 mon/wed/fri'],
    school: 'volume-load',
    reps: 30,
    seconds: 0,
    ways: [],
    counts: [15, 12, 11],
  },
  {
    name: 'ascending loads of a ten-repetition maximum',
    exercise: 'band-row',
    line: '3x10 10/15/20kg rest 2min every other day',
    typed: ['3 sets x 10 10/15/20kg rest 2 min qod', '3x10 reps, 10/15/20 kg, 2 min rest, eod'],
    school: 'ascending',
    reps: 30,
    seconds: 0,
    ways: [],
    counts: [10, 10, 8],
  },
  {
    name: 'the adjustable scheme: the last two sets until form fails',
    exercise: 'band-row',
    line: '10-6-max-max 10/15/20/adj kg rest 2min every other day',
    typed: ['10-6-max-max 10/15/20/adj kg rest 2 min qod'],
    school: 'adjustable',
    // Ended in the fourth repetition: three of each last set were finished.
    reps: 22,
    seconds: 0,
    ways: [],
    counts: [10, 6, 9, 7],
  },
];

let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let patientId: string;
let sentSoFar = 0;

beforeAll(async () => {
  folder = temporaryFolder('methods');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
  patientId = await makePatient(practitioner);
});
afterAll(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

describe.each(METHODS)(
  '$name',
  ({ exercise, line, typed, school, reps, seconds, ways, counts }) => {
    let pack: PackLine;
    let time: number;
    let paper: string;

    beforeAll(async () => {
      await prescribe(
        practitioner,
        patientId,
        [
          {
            exerciseId: exercise,
            dose: typed[0] ?? line,
            school: school ? { id: school, settings: NO_SETTINGS } : null,
          },
        ],
        { basedOn: sentSoFar },
      );
      sentSoFar += 1;
      const whole = await patientPack(await device(practitioner, patientId));
      const day = whole.days.find(({ sessions }) => sessions.length > 0);
      const [session] = day?.sessions ?? [];
      const [first] = whole.lines;
      if (!first || !session) throw new Error('nothing to play');
      pack = first;
      time = session.time.least;
      const handout = await handoutOf(await patientOf({ practitioner } as Stage, patientId), 'x');
      paper = handout?.exercises[0]?.numbers ?? '';
    });

    it('is the same line however it is typed', async () => {
      for (const one of [line, ...typed]) {
        const read = readTyped(one);
        expect([one, read.ok ? formatDose(read.value.dose) : read.say]).toEqual([one, line]);
      }
      const { desk } = await deskOf(
        practitioner,
        await patientOf({ practitioner } as Stage, patientId),
      );
      expect(desk.lines[0]?.dose).toBe(line);
    });

    it('plays to its end in the time that is shown, and tells every repetition', () => {
      const done = played(pack, counts ?? []);
      const told = done.reps.reduce((sum, { held, moved }) => sum + held + moved, 0);
      expect([done.reps.length, Math.round(told)]).toEqual([reps, seconds]);
      expect(done.counted).toEqual(counts ?? []);
      // What is open, or waits for a number, may take longer than the least that is shown.
      if (!counts) {
        expect(done.planned).toBe(time);
        expect(done.seconds).toBeCloseTo(time, 0);
      }
    });

    it('says its sides and directions in words, in their order', () => {
      const { spoken } = played(pack, counts ?? []);
      const names = ways.map((way) =>
        /^(left|right)$/.test(way) ? `${way === 'left' ? 'Left' : 'Right'} side` : way,
      );
      const heard = spoken.flatMap((words) =>
        names.filter((name) => words.split(', ').includes(name)),
      );
      expect([...new Set(heard)]).toEqual(names);
      if (ways.length === 0) expect(spoken.join()).not.toMatch(/Left side|Right side|to the left/);
      // A side is said in full before its first repetition: what it lengthens, or what works.
      const [first] = ways;
      if (first === 'left' || first === 'right')
        expect(spoken[0]).toContain(pack.sides?.[first] ?? 'no words for this side');
      expect(spoken.join()).not.toMatch(/direction \d|undefined|null/i);
    });

    it('is read back at the desk and printed for the patient from the same dose', () => {
      const read = readLine({ exerciseId: exercise, dose: line });
      expect(read.ok && read.missing.filter((one) => !/until/.test(one))).toEqual([]);
      expect(paper).toBe(pack.words);
      expect([read.ok && read.words, pack.words]).toMatchSnapshot();
    });
  },
);

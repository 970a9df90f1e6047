import type { InstrumentName, MeasureKindId, MeasurementBody } from '@/core/measures';
import type { CareBody, HistoryBody } from '@/core/records';
import type { QuestionId } from '@/core/screen';
import type { Pose } from './side-figure';

type Trials = {
  readonly kind: MeasureKindId;
  readonly side?: 'left' | 'right';
  readonly trials?: readonly number[];
  readonly body?: MeasurementBody;
  readonly chinJut?: boolean;
  readonly painAtEnd?: number;
  readonly retest?: { readonly cue: string; readonly trials: readonly number[] };
  readonly instrument?: InstrumentName;
};

/** What is done at a visit, beside the programme. */
export type DemoVisit = {
  readonly onDay: number;
  readonly screening?: {
    readonly yes: readonly QuestionId[];
    /** Questions that somebody has to ask, answered with no. */
    readonly no?: readonly QuestionId[];
    readonly age: number;
    readonly pressure?: { readonly systolic: number; readonly diastolic: number };
    /** The patient's own answers, from the link, instead of the clinic's. */
    readonly own?: true;
    readonly refer?: { readonly to: string };
  };
  readonly history?: Partial<HistoryBody>;
  readonly goals?: readonly { readonly activity: string; readonly inDays: number }[];
  readonly care?: readonly CareBody[];
  readonly measures?: readonly Trials[];
  readonly photo?: Pose;
  /** Marks the photo twice, a pixel or two apart. */
  readonly markTwice?: true;
};

const turn = (left: readonly number[], right: readonly number[]): Trials[] => [
  { kind: 'neck-turn', side: 'left', trials: left },
  { kind: 'neck-turn', side: 'right', trials: right },
];
const bend = (left: readonly number[], right: readonly number[]): Trials[] => [
  { kind: 'neck-side-bend', side: 'left', trials: left },
  { kind: 'neck-side-bend', side: 'right', trials: right },
];
const one = (kind: MeasureKindId, ...trials: number[]): Trials => ({ kind, trials });
const pain = (now: number, best: number, worst: number): Trials[] => [
  one('pain-now', now),
  one('pain-best', best),
  one('pain-worst', worst),
];
const activities = (...rows: readonly (readonly [string, number])[]): Trials => ({
  kind: 'specific-activities',
  body: { form: 'activities', activities: rows.map(([name, score]) => ({ name, score })) },
});
const offsets = (relaxed: number, tall: number, chest: number): Trials => ({
  kind: 'held-from-below',
  body: { form: 'offsets', relaxed, tall, chest },
});
const neckIndex = (...scores: number[]): Trials => ({
  kind: 'neck-index',
  body: { form: 'sections', scores },
});

/** Visits by the patient's name; the day is that of the programme, 69 is today. */
export const VISITS: Readonly<Record<string, readonly DemoVisit[]>> = {
  'Ansel Corriwick': [
    {
      onDay: 0,
      screening: { yes: ['limb-joints'], age: 52, pressure: { systolic: 134, diastolic: 84 } },
      history: {
        onset: 'Over two winters, worse since the big mould',
        aggravates: 'Looking down into the mould for an hour',
        eases: 'Lying down, warmth',
        morning: 'Stiff for ten minutes',
        irritability: { provokedBy: 'ordinary movement', worst: 6, settlesWithin: 'hours' },
      },
      goals: [{ activity: 'Ring the tenor bell for a whole peal', inDays: 84 }],
      measures: [
        one('wall-gap', 62, 64, 60),
        offsets(52, 31, 16),
        ...turn([66, 68, 64], [70, 71, 72]),
        ...bend([34, 33, 35], [36, 37, 36]),
        one('neck-flexion', 48, 50, 49),
        one('neck-extension', 44, 46, 45),
        one('deep-flexor-hold', 14),
        { kind: 'nod-test', body: { form: 'cuff', target: 22, holds: 7 } },
        { kind: 'upper-back', body: { form: 'choice', option: 'stiff' } },
        activities(['Looking down at the mould', 4], ['Reading in bed', 5], ['Ringing', 3]),
        neckIndex(2, 1, 3, 3, 1, 1, 3, 2, 2, 3),
        ...pain(5, 2, 7),
      ],
      photo: { craniovertebralAngle: 43, headTilt: 14, facing: 'right', roll: 1.5 },
      markTwice: true,
    },
    {
      onDay: 46,
      measures: [
        one('wall-gap', 41, 43, 42),
        offsets(38, 21, 9),
        ...turn([72, 74, 73], [74, 75, 76]),
        ...bend([38, 37, 39], [39, 40, 38]),
        one('neck-extension', 53, 55, 54),
        one('deep-flexor-hold', 33),
        { kind: 'nod-test', body: { form: 'cuff', target: 26, holds: 8 } },
        activities(['Looking down at the mould', 7], ['Reading in bed', 8], ['Ringing', 6]),
        neckIndex(1, 0, 2, 1, 1, 0, 2, 1, 1, 2),
        ...pain(2, 0, 4),
      ],
      photo: { craniovertebralAngle: 49.5, headTilt: 11, facing: 'right', roll: -2 },
      markTwice: true,
    },
  ],
  'Ylva Sandrune': [
    {
      onDay: 0,
      screening: { yes: ['latex'], age: 34 },
      history: {
        onset: 'A season at the sail table',
        irritability: { provokedBy: 'hard or long effort', worst: 5, settlesWithin: 'hours' },
      },
      goals: [{ activity: 'A whole mainsail without stopping', inDays: 56 }],
      measures: [
        offsets(41, 36, 32),
        ...bend([45, 44, 46], [33, 34, 33]),
        {
          kind: 'neck-turn',
          side: 'left',
          trials: [61, 62, 60],
          chinJut: true,
          retest: { cue: 'slide the ear back, then turn', trials: [73, 74, 72] },
        },
        { kind: 'neck-turn', side: 'right', trials: [75, 74, 76] },
        { kind: 'chest-muscle', side: 'left', body: { form: 'choice', option: 'normal' } },
        { kind: 'chest-muscle', side: 'right', body: { form: 'choice', option: 'short' } },
        { kind: 'upper-back', body: { form: 'choice', option: 'stiff' } },
        { kind: 'strength-side', side: 'left', trials: [96, 99, 97] },
        { kind: 'strength-side', side: 'right', trials: [71, 74, 70] },
        ...pain(4, 1, 6),
      ],
      photo: { craniovertebralAngle: 46, headTilt: 9, facing: 'left', roll: 0 },
    },
    {
      onDay: 66,
      screening: { yes: ['latex', 'dizziness'], age: 34, own: true },
    },
  ],
  'Tomas Brekkel': [
    {
      onDay: 0,
      screening: {
        yes: ['back-injury', 'high-pressure'],
        no: ['back-injury-new', 'back-injury-hard', 'back-injury-seen'],
        age: 41,
        pressure: { systolic: 148, diastolic: 92 },
      },
      history: {
        onset: 'Lifting the ferry ramp in August',
        aggravates: 'Bending and lifting, sitting long',
        eases: 'Walking',
        irritability: { provokedBy: 'ordinary movement', worst: 7, settlesWithin: 'hours' },
      },
      goals: [{ activity: 'Lift the ramp without thinking about it', inDays: 70 }],
      measures: [
        one('back-flexion', 38, 41, 40),
        one('back-extension', 18, 20, 19),
        one('trunk-flexor-hold', 96),
        one('trunk-extensor-hold', 62),
        { kind: 'side-hold', side: 'left', trials: [44] },
        { kind: 'side-hold', side: 'right', trials: [58] },
        {
          kind: 'limb-symptoms',
          body: {
            form: 'body',
            regions: ['back left low back', 'back right low back', 'back right buttock'],
            movements: [
              { movement: 'press-up lying', effect: 'drawing in' },
              { movement: 'bend forward standing', effect: 'spreading' },
            ],
          },
        },
        activities(['Lifting', 3], ['Sitting at table', 5], ['Rowing', 4]),
        ...pain(4, 2, 7),
      ],
    },
  ],
  'Ilse Marrendal': [
    {
      onDay: 0,
      screening: { yes: ['arm-symptoms', 'disc-low-neck'], age: 47 },
      history: {
        onset: 'Woke up with it in the spring',
        aggravates: 'Looking up at the gallery, holding the score',
        eases: 'Hand on head',
        night: 'Wakes at two, arm asleep',
        medicines: 'Ibuprofen when bad',
        irritability: { provokedBy: 'almost nothing', worst: 8, settlesWithin: 'days' },
      },
      goals: [{ activity: 'Conduct the midwinter concert', inDays: 78 }],
      care: [{ kind: 'injection', what: 'Steroid injection at the hospital, left no trace' }],
      measures: [
        ...turn([70, 72, 71], [48, 50, 49]),
        {
          kind: 'nerve-examination',
          body: {
            form: 'nerve',
            levels: [
              { level: 'C6', side: 'right', strength: 5, feeling: 'reduced', reflex: 'normal' },
              { level: 'C7', side: 'right', strength: 4, feeling: 'reduced', reflex: 'reduced' },
            ],
            tension: [
              { test: 'median nerve tension', side: 'right', positive: true },
              { test: 'hand on head eases', side: 'right', positive: true },
            ],
          },
        },
        {
          kind: 'limb-symptoms',
          body: {
            form: 'body',
            regions: [
              'back right neck',
              'back right shoulder',
              'back right upper arm',
              'back right forearm',
              'front right hand',
              'front right fingers',
            ],
            movements: [{ movement: 'tuck', effect: 'drawing in' }],
          },
        },
        activities(['Holding the score', 2], ['Sleeping through', 3], ['Looking up', 2]),
        ...pain(6, 4, 8),
      ],
    },
    {
      onDay: 35,
      measures: [
        ...turn([72, 73, 72], [60, 62, 61]),
        {
          kind: 'nerve-examination',
          body: {
            form: 'nerve',
            levels: [
              { level: 'C6', side: 'right', strength: 5, feeling: 'normal', reflex: 'normal' },
              { level: 'C7', side: 'right', strength: 5, feeling: 'reduced', reflex: 'reduced' },
            ],
            tension: [{ test: 'median nerve tension', side: 'right', positive: true }],
          },
        },
        {
          kind: 'limb-symptoms',
          body: {
            form: 'body',
            regions: [
              'back right neck',
              'back right shoulder',
              'back right upper arm',
              'back right elbow',
            ],
            movements: [{ movement: 'tuck', effect: 'drawing in' }],
          },
        },
        one('deep-flexor-hold', 19),
        activities(['Holding the score', 5], ['Sleeping through', 6], ['Looking up', 4]),
        ...pain(4, 2, 6),
      ],
    },
  ],
  'Bodo Hallimar': [
    {
      onDay: 0,
      screening: { yes: ['osteoporosis'], age: 68, pressure: { systolic: 156, diastolic: 88 } },
      history: {
        onset: 'Headache from the neck since the new cellar',
        eases: 'Pressing the head back',
      },
      measures: [
        one('wall-gap', 71, 74, 72),
        { kind: 'wall-press-headache', body: { form: 'choice', option: 'eases' } },
        one('headache-days', 16),
        ...pain(5, 1, 7),
      ],
    },
  ],
  'Nessa Quillery': [
    {
      onDay: 58,
      screening: { yes: [], age: 29 },
      measures: [...turn([78, 79, 78], [77, 80, 78]), ...pain(3, 0, 5)],
    },
  ],
  'Perrin Salloway': [
    {
      onDay: 42,
      screening: { yes: ['arm-symptoms'], age: 44 },
      measures: [...turn([70, 71, 70], [58, 60, 59]), ...pain(4, 2, 5)],
    },
  ],
  'Quill Aldersea': [
    {
      onDay: 49,
      screening: { yes: [], age: 38 },
      measures: [...turn([68, 70, 69], [71, 70, 72]), ...pain(4, 2, 6)],
    },
  ],
  'Corin Aldwick': [
    {
      onDay: 66,
      screening: {
        yes: ['clumsy-hands', 'unsteady', 'hoffmann'],
        age: 61,
        refer: { to: 'The island physician' },
      },
      history: {
        onset: 'Drops the chisel since the summer',
        aggravates: 'Fine work, stairs',
        irritability: { provokedBy: 'ordinary movement', worst: 3, settlesWithin: 'hours' },
      },
    },
  ],
  'Ramiro Veldecanto': [
    {
      onDay: 59,
      screening: { yes: [], age: 47 },
      measures: [...turn([64, 66, 65], [71, 70, 72]), ...pain(4, 2, 6)],
    },
  ],
  'نوار السهلي': [
    {
      onDay: 60,
      screening: { yes: [], age: 35 },
      measures: [...turn([69, 68, 70], [70, 71, 69]), ...pain(5, 3, 7)],
    },
  ],
};

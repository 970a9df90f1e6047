import type { Story } from './story';
import { DAYS } from './world';

/** From a at day 0 to b at the last day. */
const line = (a: number, b: number) => (day: number) => a + ((b - a) * day) / (DAYS - 1);

export const STORIES: readonly Story[] = [
  {
    name: 'Ansel Corriwick',
    complaint: 'Bell-founder; neck ache after a day over the moulds',
    next: { inDays: 9, minute: 630 },
    area: 'neck',
    cue: 'Ear over the shoulder, as if a bell rope drew you up',
    minutesADay: 20,
    wake: 6 * 60,
    sleep: 22 * 60,
    home: {
      props: ['soft ball', 'flat band', 'weights'],
      weights: [2, 4, 6, 8],
      unit: 'kg',
      cannot: [],
      busy: [
        { from: 7 * 60 + 30, to: 12 * 60, label: 'foundry' },
        { from: 12 * 60 + 30, to: 16 * 60 + 30, label: 'foundry' },
        { from: 18 * 60, to: 18 * 60 + 45, label: 'supper' },
      ],
    },
    // A steady improver. Today is still to be done: this is the link that the demo prints.
    // The last fortnight goes well in full: his lines are ready to progress.
    day: (day) => ({
      begins: day === DAYS - 1 ? 0 : 0.93,
      does: day > DAYS - 14 ? 1.2 : 0.98,
      pain: line(6, 1.2)(day),
    }),
    stops: [],
    resumes: [],
    decides: [{ fromDay: 50, decline: 'One sore morning after casting; watch it' }],
    words: [
      'slept better',
      'a shake at the end',
      'easier than last week',
      'worked the big bell today',
      'fine',
    ],
    versions: [
      {
        onDay: 0,
        reason: 'First programme: weak nod, forward head from the trunk',
        lines: [
          ['tuck-lying', '10x10s gap 5s daily until review', { school: 'climb' }],
          ['blade-set', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
          ['chest-stretch', '2x30s gap 15s daily until review', { session: 'evening' }],
        ],
      },
      {
        onDay: 21,
        reason: 'Holds ten times ten seconds without the strap muscles: next rung',
        lines: [
          ['neck-warm-up', '2x40s gap 10s daily until review'],
          ['tuck-lighten', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
          ['blade-set', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
          ['chest-stretch', '2x30s gap 15s daily until review', { session: 'evening' }],
        ],
      },
      {
        onDay: 46,
        reason: 'Pain halved; wall press added for the long days',
        lines: [
          ['neck-warm-up', '2x40s gap 10s daily until review'],
          ['tuck-lighten', 'x10 hold 10s gap 3s 1/day daily until review', { school: 'lengthen' }],
          ['wall-press', '3x30s gap 60s rpe 3-5 1/day daily until review', { school: 'lengthen' }],
          [
            'chest-stretch',
            '2x30s gap 15s 1/day every other day until review',
            { session: 'evening' },
          ],
          ['blade-set', 'x10 hold 5s gap 3s 1/day daily until review', { school: 'lengthen' }],
          ['posture-reset', '30s tuck 10-20% every 2h daily until review'],
        ],
      },
    ],
  },
  {
    name: 'Ylva Sandrune',
    complaint: 'Sailmaker; stiff upper back and side of the neck',
    area: 'posture',
    minutesADay: 10,
    wake: 7 * 60,
    sleep: 23 * 60,
    home: {
      props: ['block'],
      weights: [],
      unit: 'kg',
      cannot: [],
      busy: [{ from: 8 * 60, to: 17 * 60, label: 'sail loft' }],
    },
    // A fast starter who fades.
    day: (day) => ({ begins: Math.max(0.08, 1 - day / 48), does: 0.9, pain: line(5, 3.5)(day) }),
    stops: [],
    resumes: [],
    decides: [{ fromDay: 32, decline: 'Pain from the long sewing day, not from the warm-up' }],
    words: ['no time for the second one', 'good', 'forgot yesterday'],
    versions: [
      {
        onDay: 0,
        reason: 'First programme: right side-bend short',
        rounds: 2,
        lines: [
          ['neck-warm-up', '2x30s gap 5s 2/day daily until review'],
          [
            'side-neck-stretch',
            '30s at 3 barriers right daily until review',
            { school: 'barriers', session: 'evening' },
          ],
          ['block-opening', '30s 2/day daily until review'],
          ['tuck-seated', '3x10-15s gap 5s 2/day daily until review', { school: 'climb' }],
        ],
      },
    ],
  },
  {
    name: 'Tomas Brekkel',
    complaint: 'Ferry hand; low back after lifting the ramp',
    area: 'back',
    minutesADay: 20,
    wake: 5 * 60,
    sleep: 21 * 60,
    // An over-doer with soreness.
    day: (day) => ({ begins: 0.97, does: 1, again: 0.55, pain: 4 + (day % 7 === 2 ? 2 : 0) }),
    stops: [69],
    resumes: [],
    decides: [
      { fromDay: 44 },
      { fromDay: 54, decline: 'Hauling season: keep it as it is for a week' },
    ],
    words: ['did it twice', 'sore this morning', 'one more round cannot hurt', 'back is tight'],
    versions: [
      {
        onDay: 0,
        reason: 'First programme: trunk endurance, lifting did not help',
        lines: [
          [
            'curl-up',
            '6-4-2 hold 10s rest 20-30s daily until review',
            { school: 'descending-sets' },
          ],
          ['press-up', 'x10 hold 1s 2/day daily until review', { school: 'repeated' }],
          ['sciatic-slider', 'x10 move 4s each side daily until review'],
        ],
      },
      {
        onDay: 30,
        reason: 'Sore in the mornings: a day in between',
        lines: [
          [
            'curl-up',
            '6-4-2 hold 10s rest 20-30s every other day until review',
            { school: 'descending-sets' },
          ],
          ['press-up', 'x10 hold 1s 2/day daily until review', { school: 'repeated' }],
          ['sciatic-slider', 'x10 move 4s each side daily until review'],
        ],
      },
    ],
  },
  {
    name: 'Ilse Marrendal',
    complaint: 'Choir leader; tingling down the right arm',
    next: { inDays: 2, minute: 1020 },
    area: 'neck',
    minutesADay: 12,
    wake: 8 * 60,
    sleep: 24 * 60 - 30,
    // Arm pain drawing in.
    day: (day) => ({ begins: 0.85, does: 0.95, pain: line(7, 2)(day) }),
    second: {
      onDay: 44,
      complaint: 'Low back, standing through rehearsals',
      area: 'back',
      pain: (day) => Math.max(2, 6 - (day - 44) * 0.12),
    },
    stops: [],
    resumes: [],
    words: [
      'only to the elbow now',
      'tingling in the thumb',
      'held the long note',
      'neck instead of arm',
      'better',
    ],
    versions: [
      {
        onDay: 0,
        reason: 'First programme: sliders before tensioners',
        lines: [
          ['median-slider', 'x10 move 4s right 2/day daily until review'],
          ['tuck-seated', 'x10 hold 2s gap 2s 2/day daily until review'],
        ],
      },
      {
        onDay: 35,
        reason: 'Drawn in to the elbow; deep neck flexors next',
        lines: [
          ['median-slider', 'x10 move 4s right 2/day daily until review'],
          ['tuck-lying', '10x10s gap 5s daily until review'],
          [
            'six-way-hold',
            '3x10s in 6 directions 30% every other day until review',
            { school: 'lengthen' },
          ],
        ],
      },
      {
        onDay: 44,
        reason: 'The low back beside it: standing through rehearsals',
        lines: [
          ['median-slider', 'x10 move 4s right 2/day daily until review'],
          ['tuck-lying', '10x10s gap 5s daily until review'],
          [
            'six-way-hold',
            '3x10s in 6 directions 30% every other day until review',
            { school: 'lengthen' },
          ],
          ['bridge', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
          ['hip-hinge', '2x10 rest 60s daily until review'],
        ],
      },
    ],
  },
  {
    name: 'Bodo Hallimar',
    complaint: 'Cheese-cellar keeper; headache from the neck',
    area: 'neck',
    minutesADay: 15,
    wake: 4 * 60 + 30,
    sleep: 20 * 60 + 30,
    // A flare, and recovery.
    day: (day) => ({
      begins: day < 30 ? 0.9 : 0.8,
      does: 0.95,
      pain: day < 28 ? line(5, 2)(day) : day < 44 ? 7 - (day - 28) * 0.15 : line(6, 1)(day),
    }),
    stops: [31],
    resumes: [36],
    decides: [{ fromDay: 39 }],
    words: [
      'headache eased at the wall',
      'sharp when turning',
      'careful today',
      'back to the cellar',
      'no headache',
    ],
    versions: [
      {
        onDay: 0,
        reason: 'First programme: the wall press eases the headache',
        lines: [
          [
            'wall-press',
            '3x30s gap 60s rpe 3-5 daily until review',
            { school: 'lengthen', setUp: true },
          ],
          ['tuck-lying', '10x10s gap 5s daily until review'],
          ['band-pull', '2x10-15 band light rest 60s every other day until review'],
        ],
      },
      {
        onDay: 36,
        reason: 'After the flare: one rung down, half the holds',
        lines: [
          ['tuck-lying', '5x10s gap 5s daily until review'],
          ['wall-press', '2x30s gap 60s rpe 3-4 daily until review', { setUp: true }],
        ],
      },
      {
        onDay: 55,
        reason: 'Settled for two weeks: back to the full dose',
        lines: [
          ['tuck-lying', '10x10s gap 5s daily until review'],
          [
            'wall-press',
            '3x30s gap 60s rpe 3-5 daily until review',
            { school: 'lengthen', setUp: true },
          ],
          ['band-pull', '2x10-15 band light rest 60s every other day until review'],
        ],
      },
    ],
  },
  {
    name: 'Nessa Quillery',
    complaint: 'Stone carver; neck and shoulder, mallet side',
    area: 'neck',
    minutesADay: 10,
    wake: 7 * 60,
    sleep: 22 * 60,
    // Never opened the link.
    day: null,
    stops: [],
    resumes: [],
    words: [],
    versions: [
      {
        onDay: 58,
        reason: 'First programme: posture habit and a weak blade',
        lines: [
          ['tuck-seated', 'x5 hold 2s gap 2s every 2h daily until review'],
          ['blade-set', 'x10 hold 5s gap 3s daily until review'],
        ],
      },
    ],
  },
  {
    name: 'Corin Aldwick',
    complaint: 'Boat builder; stiff neck, hands no longer sure',
    area: 'neck',
    minutesADay: 15,
    wake: 6 * 60,
    sleep: 22 * 60,
    // A red flag: referred at the first visit, nothing prescribed until there is an answer.
    day: null,
    stops: [],
    resumes: [],
    words: [],
    versions: [],
  },
  {
    name: 'Perrin Salloway',
    complaint: 'Lighthouse painter; arm ache from overhead work',
    area: 'neck',
    minutesADay: 12,
    wake: 6 * 60 + 30,
    sleep: 22 * 60,
    // Spreading: two evenings running beyond the elbow, after weeks that stayed above it.
    day: () => ({ begins: 0.92, does: 1, pain: 3.5 }),
    reach: (day) => (day >= DAYS - 3 ? 'hand' : 'elbow'),
    stops: [],
    resumes: [],
    words: ['as usual', 'long day on the gallery'],
    versions: [
      {
        onDay: 42,
        reason: 'Arm ache from the neck: nod first, slider short of symptoms',
        lines: [
          ['tuck-seated', '10x5s gap 3s daily until review', { school: 'lengthen' }],
          ['median-slider', 'x10 move 4s right daily until review'],
        ],
      },
    ],
  },
  {
    name: 'Quill Aldersea',
    complaint: 'Chart engraver; neck pain and headache at the desk',
    area: 'neck',
    minutesADay: 15,
    wake: 7 * 60,
    sleep: 23 * 60,
    // Stopped yesterday because something felt wrong; nobody has called yet.
    day: () => ({ begins: 0.9, does: 0.97, pain: 4 }),
    stops: [DAYS - 2],
    resumes: [],
    words: ['stiff in the morning', 'a long sheet today'],
    versions: [
      {
        onDay: 49,
        reason: 'Weak nod, stiff upper back',
        lines: [
          ['tuck-lying', '10x10s gap 5s daily until review', { school: 'climb' }],
          ['blade-set', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
        ],
      },
    ],
  },
  {
    name: 'Ramiro Veldecanto',
    complaint: 'Rope maker; neck and shoulder, right side',
    area: 'neck',
    language: 'es',
    minutesADay: 12,
    wake: 6 * 60,
    sleep: 22 * 60,
    day: (day) => ({ begins: 0.93, does: 0.97, pain: day < 64 ? 4 : 3 }),
    stops: [],
    resumes: [],
    words: ['mejor por la mañana', 'cansado'],
    cue: 'Hombros abajo al tirar de la cuerda',
    versions: [
      {
        onDay: 59,
        reason: 'Stiff on the right, weak nod',
        lines: [
          [
            'tuck-seated',
            'x10 hold 5s gap 3s tuck 20-30% daily until review',
            { school: 'lengthen' },
          ],
          ['side-neck-stretch', '2x30s right daily until review'],
          ['blade-set', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
        ],
      },
    ],
  },
  {
    name: 'نوار السهلي',
    complaint: 'Net mender; neck pain over the work',
    area: 'neck',
    language: 'ar',
    minutesADay: 12,
    wake: 6 * 60 + 30,
    sleep: 22 * 60,
    day: (day) => ({ begins: 0.9, does: 0.95, pain: day < 65 ? 5 : 4 }),
    stops: [],
    resumes: [],
    words: ['أفضل قليلا', 'متعب اليوم'],
    versions: [
      {
        onDay: 60,
        reason: 'Neck held forward over the nets; endurance first',
        lines: [
          ['tuck-seated', 'x10 hold 5s gap 3s daily until review', { school: 'lengthen' }],
          ['wall-press', '3x30s gap 60s rpe 3-4 daily until review'],
          ['half-tuck-turn', 'x5 hold 1s gap 2s each side daily until review'],
        ],
      },
    ],
  },
];

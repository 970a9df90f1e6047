import { renderToStaticMarkup } from 'react-dom/server';
import { FIGURES } from '@/catalogue/figures';
import { type Figure, drawFigure } from '@/core/figure';
import type { Handout } from '@/core/handout';
import { handoutFile } from './handout-file';
import { HandoutSheet } from './handout-sheet';
import { qrPath } from '@/pdf/qr-path';

const figure = FIGURES['tuck-lying'] as Figure;

const due = (...times: number[]) => times.map((one) => ({ times: one, words: `${one} times` }));

const handout: Handout = {
  clinic: { name: 'Harbour <Clinic>', phone: '+000 1', emergencyText: 'Ring the bell & call 000.' },
  patientName: 'Linnet Marlow',
  version: 3,
  language: 'en',
  way: 'ltr',
  words: {
    title: 'Linnet Marlow: your exercises',
    head: ['Version 3, from Wednesday 25 November.', 'Come back on Monday 7 December.'],
    shared: 'For all of them: Once every day.',
    page: 'Your page on the phone',
    code: 'Code that opens it',
    noDrawing: 'No drawing: this exercise is your clinic’s own.',
    week: 'The week',
    exercise: 'Exercise',
    stop: 'Stop and call if you have:',
    call: 'Call Harbour <Clinic>: +000 1',
    printed: 'Printed on Thursday 26 November.',
    foot: 'Page {page} of {pages}',
    missing: 'No letters for {letters}.',
    file: 'Exercises, version 3',
    about: 'Home exercise programme',
    key: { '': 'What the signs mean', hold: 'hold so long' },
  },
  exercises: [
    {
      lineage: 'a',
      name: 'Tuck lying down',
      complaint: '',
      numbers: 'Do 10. Hold each for 10 seconds.',
      numbersBeside: '',
      signs: [
        { kind: 'hold', text: '10 s' },
        { kind: 'repeat', text: '×10' },
      ],
      howMany: '',
      steps: ['Lie down.', 'Draw the chin in.'],
      own: ['Set up for you: Pad 4.5 cm thick.', 'For you: Towel under the head'],
      about: ['You need: pillow.', 'You should feel: Deep at the front.'],
      stop: 'Stop for: Dizziness.',
      pictures: [0, 1].map((along) => ({
        name: figure.names[along] ?? '',
        drawing: drawFigure(figure, along),
      })),
      side: 'Drawn: Left side',
      photos: [1, 2].map((nth) => ({
        address: `data:image/jpeg;base64,/9j/${nth}`,
        words: `Your own set-up, photo ${nth} of 2`,
      })),
      description: 'Seen from the side.',
    },
    {
      lineage: 'b',
      name: 'Our own',
      complaint: '',
      numbers: 'Do 5.',
      numbersBeside: '',
      signs: [{ kind: 'repeat', text: '×5' }],
      howMany: 'How many? ____',
      steps: ['Do it.'],
      own: [],
      about: [],
      stop: '',
      pictures: [],
      side: '',
      photos: [],
      description: '',
    },
  ],
  week: {
    days: ['Wed 25', 'Thu 26', 'Fri 27', 'Sat 28', 'Sun 29', 'Mon 30', 'Tue 1'],
    rows: [
      { name: 'Tuck lying down', due: due(2, 0, 2, 0, 2, 0, 2), asNeeded: false },
      { name: 'Our own', due: due(9, 9, 9, 9, 9, 9, 9), asNeeded: false },
      { name: 'Wall press', due: due(0, 0, 0, 0, 0, 0, 0), asNeeded: true },
    ],
  },
  stopSigns: ['a headache', 'anything severe'],
  stopBeside: [],
  normalSigns: 'A stretch is normal.',
  caution: 'It supports a clinician.',
  address: 'https://clinic.example/today',
};

describe('a handout', () => {
  const html = renderToStaticMarkup(<HandoutSheet handout={handout} large={false} />);

  it('says who, which version, when to come back, and how long it takes', () => {
    for (const words of [
      'Linnet Marlow: your exercises',
      'Version 3, from Wednesday 25 November. Come back on Monday 7 December.',
      'For all of them: Once every day.',
      'Printed on Thursday 26 November.',
    ])
      expect(html).toContain(words);
  });

  it('tells each exercise in words: numbers, steps, the patient’s own reminder, when to stop', () => {
    for (const words of [
      '1. Tuck lying down',
      'Do 10. Hold each for 10 seconds.',
      '<li dir="auto">Draw the chin in.</li>',
      'For you: Towel under the head',
      'Set up for you: Pad 4.5 cm thick.',
      'How many? ____',
      'You need: pillow.',
      'You should feel: Deep at the front.',
      '<strong>Stop for: Dizziness.</strong>',
    ])
      expect(html).toContain(words);
    expect(html).toContain('No drawing: this exercise is your clinic’s own.');
  });

  it('shows the patient’s own set-up beside the drawing, each photo named', () => {
    expect(html.match(/<img /g)).toHaveLength(2);
    expect(html).toContain('alt="Your own set-up, photo 2 of 2: Tuck lying down"');
    expect(html.match(/Drawn: Left side/g)).toHaveLength(1);
  });

  it('has a box for every time it is due, a dash for a rest, and a number where they would not fit', () => {
    const row = (name: string) =>
      new RegExp(`<tr><th scope="row" dir="auto">${name}</th>(.*?)</tr>`).exec(html)?.[1] ?? '';
    expect(row('Tuck lying down').match(/class="box"/g)).toHaveLength(8);
    expect(row('Tuck lying down').match(/>–</g)).toHaveLength(3);
    expect(row('Our own').match(/class="box"/g)).toHaveLength(7);
    expect(row('Our own')).toContain('× 9');
    expect(row('Wall press').match(/0 times/g)).toHaveLength(7);
    // What is drawn as boxes is said in words.
    expect(row('Tuck lying down')).toContain('<span class="sr">2 times</span>');
  });

  it('always says what to stop for and whom to call, and never reads a name as code', () => {
    for (const words of [
      'a headache',
      'anything severe',
      '+000 1',
      'Ring the bell &amp; call 000.',
    ])
      expect(html).toContain(words);
    expect(html).toContain('Harbour &lt;Clinic&gt;');
    expect(html).not.toContain('<Clinic>');
  });

  it('is larger on wish', () => {
    expect(renderToStaticMarkup(<HandoutSheet handout={handout} large />)).toContain(
      'class="handout large"',
    );
  });

  it('is one file that asks for nothing else', async () => {
    const file = await handoutFile(handout, false);
    expect(
      file.startsWith('<!doctype html><html lang="en" dir="ltr"><head><meta charset="utf-8">'),
    ).toBe(true);
    expect(file).toContain(html);
    expect(file).not.toMatch(/<script|<link|@import|url\(|src="(?!data:image\/jpeg;base64,)/);
    // The title names no patient: it may stand in a mail program's list.
    expect(file).toContain('<title>Exercises, version 3</title>');
  });
});

describe('the code to scan (ISO/IEC 18004 by the package)', () => {
  it('is square, has its three finders, and changes with the address', () => {
    const one = qrPath('https://clinic.example/today');
    expect(one.size).toBeGreaterThanOrEqual(21);
    expect((one.size - 17) % 4).toBe(0);
    const dark = new Set(one.path.match(/M\d+ \d+/g));
    for (const [x, y] of [
      [0, 0],
      [one.size - 1, 0],
      [0, one.size - 1],
    ])
      expect(dark.has(`M${x} ${y}`)).toBe(true);
    expect(qrPath('https://clinic.example/open#x').path).not.toBe(one.path);
  });
});

import { TRIAGE_LIMITS } from '../triage';
import { type OwnLimits, limitChanges, limitsFileText, readLimitsFile } from './limits-file';

const NOTHING_OWN: OwnLimits = { limits: TRIAGE_LIMITS, detectable: {}, bands: [] };
const OWN: OwnLimits = {
  limits: { ...TRIAGE_LIMITS, painOver: 6, escalateHours: 12 },
  detectable: { 'neck-turn': { margin: { by: 7 }, source: 'Our own, 20 measured twice' } },
  bands: [
    {
      name: 'light',
      points: [
        { stretchPercent: 50, newtons: 12 },
        { stretchPercent: 100, newtons: 20 },
      ],
    },
  ],
};

it('reads back what it wrote', () => {
  for (const own of [NOTHING_OWN, OWN])
    expect(readLimitsFile(limitsFileText(own))).toEqual({
      ok: true,
      file: expect.objectContaining(own) as object,
    });
  // As an editor saves it, with a mark of its own at the start.
  expect(readLimitsFile(`\uFEFF${limitsFileText(OWN)}`).ok).toBe(true);
});

it('says in words what would change, and nothing where nothing would', () => {
  expect(limitChanges(OWN, OWN)).toEqual([]);
  expect(limitChanges(NOTHING_OWN, OWN)).toEqual([
    { what: 'Call when pain is over (of 10)', before: '7', after: '6' },
    { what: 'An alert goes to the lead after hours', before: '24', after: '12' },
    {
      what: expect.stringMatching(/^Real from: /) as string,
      before: expect.stringMatching(/°/) as string,
      after: '7° (Our own, 20 measured twice)',
    },
    { what: 'Band: light', before: '', after: '50 %: 12 N, 100 %: 20 N' },
  ]);
  // Back again it is the same, the other way round.
  const turned = limitChanges(NOTHING_OWN, OWN).map(({ what, before, after }) => ({
    what,
    before: after,
    after: before,
  }));
  expect(limitChanges(OWN, NOTHING_OWN)).toEqual(turned);
});

const changed = (change: object) =>
  JSON.stringify({ ...(JSON.parse(limitsFileText(OWN)) as object), ...change });

it.each([
  ['no JSON', '{', 'it is no JSON'],
  [
    'another file',
    '{"format":"dry-lantern-programme"}',
    'This is not a file of a clinic’s limits.',
  ],
  ['a newer one', changed({ version: 2 }), 'written by a newer'],
  ['a limit out of bounds', changed({ limits: { ...TRIAGE_LIMITS, painOver: 11 } }), 'Pain over'],
  ['a limit left out', changed({ limits: {} }), 'painOver'],
  [
    'a change of 0',
    changed({ detectable: { 'neck-turn': { margin: { by: 0 }, source: 'x' } } }),
    'neck-turn',
  ],
  [
    'no source',
    changed({ detectable: { 'neck-turn': { margin: { by: 3 }, source: '' } } }),
    'source',
  ],
  [
    'a kind nobody knows',
    changed({ detectable: { wit: { margin: { by: 3 }, source: 'x' } } }),
    'detectable',
  ],
  [
    'a band that falls',
    changed({
      bands: [
        {
          name: 'a',
          points: [
            { stretchPercent: 10, newtons: 9 },
            { stretchPercent: 20, newtons: 3 },
          ],
        },
      ],
    }),
    'bands',
  ],
  ['two bands of one name', changed({ bands: [OWN.bands[0], OWN.bands[0]] }), 'same name'],
])('refuses %s with a sentence', (_name, text, say) => {
  const read = readLimitsFile(text);
  expect(read.ok ? 'taken' : read.problems.join(' ')).toContain(say);
});

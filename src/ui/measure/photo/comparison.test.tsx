import { localDate } from '@/core/units';
import { renderToStaticMarkup } from 'react-dom/server';
import { sideFigure } from '../../../../scripts/demo/side-figure';
import { Comparison } from './comparison';

const SIZE = { width: 900, height: 1200 };
const photo = (
  id: string,
  takenOn: string,
  angle: number,
  facing: 'left' | 'right',
  roll: number,
) => ({
  id,
  takenOn: localDate(takenOn),
  angle,
  ...SIZE,
  marks: sideFigure({ craniovertebralAngle: angle, headTilt: 10, facing, roll }).marks,
});
const earlier = photo('a', '2026-09-01', 43, 'right', 3);
const later = photo('b', '2026-11-01', 49, 'left', -2);

it('says the change, and whether it is beyond error', () => {
  const text = (needed: number | null) =>
    renderToStaticMarkup(<Comparison earlier={earlier} later={later} needed={needed} />).replace(
      /<[^>]+>/g,
      '',
    );
  expect(text(4)).toContain('43.0° on 1 Sep 2026, 49.0° on 1 Nov 2026: +6.0°, real (needs 4.0°).');
  expect(text(8)).toContain('within error (8.0°)');
  expect(text(null)).toContain('detectable change not known');
  expect(text(4)).toContain('by the known length in each picture');
});

it('lays both at C7 with the camera’s turn taken out, and mirrors the one that faces away', () => {
  const markup = renderToStaticMarkup(<Comparison earlier={earlier} later={later} needed={4} />);
  const transforms = [...markup.matchAll(/transform="([^"]+)"/g)].map((match) => match[1] ?? '');
  expect(transforms.every((one) => one.startsWith('translate(210 290)'))).toBe(true);
  const numbers = (text: string) =>
    /scale\((-?[\d.]+) [\d.]+\) rotate\((-?[\d.]+)\)/.exec(text)?.slice(1).map(Number) ?? [];
  const [first = [], second = []] = [transforms[0] ?? '', transforms[1] ?? ''].map(numbers);
  expect(first[0]).toBeCloseTo(560 / 1200, 6);
  expect(first[1]).toBeCloseTo(-3, 6);
  expect(second[0]).toBeCloseTo(-560 / 1200, 6);
  expect(second[1]).toBeCloseTo(2, 6);
});

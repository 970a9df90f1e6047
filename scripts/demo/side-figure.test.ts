import { measurePhoto } from '@/core/measures';
import { sideFigure } from './side-figure';

/** The demo's photos are drawn: what is measured on them must be what they were drawn with. */
it.each([
  [43, 14, 'right', 1.5],
  [49.5, 11, 'right', -2],
  [46, 9, 'left', 0],
  [38, 16, 'left', 4],
  [55, 6, 'right', 0],
] as const)(
  'is drawn with an angle of %d° and a tilt of %d°, facing %s',
  (angle, tilt, facing, roll) => {
    const { svg, marks } = sideFigure({
      craniovertebralAngle: angle,
      headTilt: tilt,
      facing,
      roll,
    });
    const measured = measurePhoto(marks);
    expect(measured.craniovertebralAngle).toBeCloseTo(angle, 3);
    expect(measured.headTilt).toBeCloseTo(tilt, 3);
    expect(measured.cameraRoll).toBeCloseTo(roll, 3);
    expect(svg.match(/<path /g)?.length).toBeGreaterThan(12);
  },
);

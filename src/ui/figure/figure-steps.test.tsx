import { renderToStaticMarkup } from 'react-dom/server';
import { FIGURES } from '@/catalogue/figures';
import { type Figure, drawFigure } from '@/core/figure';
import { FigureSteps } from './figure-steps';
import { FigureStill } from './still';

const tuck = FIGURES['tuck-seated'] as Figure;
const wallPress = FIGURES['wall-press'] as Figure;

describe('a drawing on a page', () => {
  it('carries its tones as classes, so that the theme paints it', () => {
    const html = renderToStaticMarkup(<FigureStill drawing={drawFigure(tuck, 1)} label="Tuck" />);
    expect(html).toMatch(/^<svg viewBox="[-\d ]+" class="figure " role="img" aria-label="Tuck">/);
    for (const tone of ['cloth', 'skin', 'mark', 'working', 'thing'])
      expect(html).toContain(`<path class="${tone}"`);
    expect(html).not.toMatch(/fill=|style=/);
  });

  it('is hidden from reading aloud where the words beside it say it', () => {
    const html = renderToStaticMarkup(<FigureStill drawing={drawFigure(tuck, 0)} label="" />);
    expect(html).toContain('aria-hidden="true"');
    expect(html).not.toContain('role=');
  });

  it('shows every pose with its name, the fault apart, and is described as a whole', () => {
    const html = renderToStaticMarkup(<FigureSteps figure={tuck} />);
    expect(html).toContain('role="group"');
    expect(html).toContain(
      'aria-label="Seen from the side. Sitting tall, gaze level. Then: Head slid',
    );
    for (const [index, name] of tuck.names.entries())
      expect(html).toContain(`${index + 1}. ${name}`);
    expect(html).toContain('Not so: Nods down instead of sliding back');
    // Each a close-up with the whole body small beside it.
    expect((html.match(/class="figure /g) ?? []).length).toBe(tuck.poses.length + 1);
    expect((html.match(/<svg/g) ?? []).length).toBe(2 * (tuck.poses.length + 1));
    expect(renderToStaticMarkup(<FigureSteps figure={tuck} fault={false} />)).not.toContain(
      'Not so',
    );
  });

  it('draws the pad between the wall and the head, and the push', () => {
    const html = renderToStaticMarkup(<FigureStill drawing={drawFigure(wallPress, 1)} label="" />);
    for (const tone of ['thing-line', 'thing-soft', 'push']) expect(html).toContain(`"${tone}"`);
  });

  it('keeps the drawing’s frame the same for left and right of a figure that has no side', () => {
    const box = (side: 'left' | 'right') => drawFigure(tuck, 0, { side }).box;
    expect(box('left')[2]).toBe(box('right')[2]);
    expect(box('left')[3]).toBe(box('right')[3]);
  });
});

import { renderToStaticMarkup } from 'react-dom/server';
import { REGIONS } from '@/core/symptoms';
import { wedgeFit } from '@/core/measures';
import { BodyMap } from './forms/body';
import { HeadLoad, PhotoNumbers } from './photo/photo-numbers';
import { measurePhoto } from '@/core/measures';
import { sideFigure } from '../../../scripts/demo/side-figure';
import { WedgeDrawing } from './wedge-drawing';

const words = (markup: string) => markup.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ');
const attributes = (markup: string, name: string) =>
  [...markup.matchAll(new RegExp(` ${name}="([^"]*)"`, 'g'))].map((match) => match[1] ?? '');

describe('the body', () => {
  const props = {
    kind: 'limb-symptoms',
    side: null,
    errorAt: () => '',
    set: () => undefined,
    last: null,
  } as const;

  it('has every place as a box to check, and reads out what is marked', () => {
    const markup = renderToStaticMarkup(
      <BodyMap {...props} fields={{ 'front right hand': 'on', 'back left thigh': 'on' }} />,
    );
    const boxes = [
      ...markup.matchAll(/role="checkbox" aria-checked="(\w+)" aria-label="([^"]+)"/g),
    ];
    expect(boxes.map((box) => box[2]).sort()).toEqual([...REGIONS].sort());
    expect(boxes.filter((box) => box[1] === 'true').map((box) => box[2])).toEqual([
      'front right hand',
      'back left thigh',
    ]);
    expect(words(markup)).toContain('Furthest down the arm: hand (5 of 6)');
    expect(words(markup)).toContain('Furthest down the leg: thigh (2 of 6)');
  });

  it('draws the right side where an examiner sees it', () => {
    const place = (region: string) => {
      const markup = renderToStaticMarkup(<BodyMap {...props} fields={{}} />);
      const [tag] = markup.match(new RegExp(`<path d="[^"]+"[^>]*aria-label="${region}"`)) ?? [];
      return Number(/d="M(-?[\d.]+)/.exec(tag ?? '')?.[1]);
    };
    expect(place('back right hand')).toBeGreaterThan(20);
    expect(place('front right hand')).toBeLessThan(-20);
    expect(place('back left hand')).toBeLessThan(-20);
  });
});

describe('the wedge', () => {
  it('is drawn to scale with ear and shoulder level', () => {
    const heights = { wedge: 90, ear: 95, shoulder: 120 };
    const markup = renderToStaticMarkup(<WedgeDrawing heights={heights} fit={wedgeFit(heights)} />);
    const [, ear, shoulder] = attributes(markup, 'cy').map(Number);
    expect(ear).toBe(shoulder);
    expect(attributes(markup, 'aria-label')[0]).toContain('with 65 mm under the trunk');
    expect(attributes(markup, 'height').map(Number)).toContain(65);
  });
  it('puts the pad under the head where that is lower', () => {
    const heights = { wedge: 20, ear: 80, shoulder: 150 };
    const markup = renderToStaticMarkup(<WedgeDrawing heights={heights} fit={wedgeFit(heights)} />);
    expect(words(markup)).toContain('50 mm under the head');
  });
});

describe('the numbers of a photo', () => {
  const numbers = (angle: number, change: object = {}) => {
    const { marks } = sideFigure({
      craniovertebralAngle: angle,
      headTilt: 10,
      facing: 'right',
      roll: 0,
    });
    return words(
      renderToStaticMarkup(<PhotoNumbers measures={measurePhoto({ ...marks, ...change })} />),
    );
  };
  it('say what the trade calls a forward head, and where it does not agree', () => {
    expect(numbers(44)).toContain('44.0°');
    expect(numbers(44)).toContain('Under 48°');
    expect(numbers(49)).toContain('the trade does not agree');
    expect(numbers(53)).toContain('Not under 50°.');
  });
  it('say what is missing', () => {
    expect(numbers(50, { scale: null })).toContain('Millimetres need a known length');
    expect(numbers(50, { reference: null })).toContain('the camera counts as level');
  });
  it('keep the rule of thumb and its misquotation apart', () => {
    const text = words(renderToStaticMarkup(<HeadLoad forwardMm={76.2} />));
    expect(text).toContain('30 lb (13.6 kg) added');
    expect(text).toContain('42 lb (19.1 kg) in all');
    expect(text).toContain('Hansraj 2014');
  });
});

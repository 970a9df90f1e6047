import type { Drawing, Shape, Tone } from './shape';
import { toHundredth, toTenth } from '../../units';

/** How one tone is painted: what SVG's attributes of that name take. Widths in cm. */
export type Paint = {
  readonly fill: string;
  readonly stroke: string;
  readonly width: number;
  readonly dash?: string;
  readonly opacity?: number;
  /** Its lines lie over its fill, as hatching does; others are painted first, so that pieces grow together. */
  readonly over?: true;
};

export type Palette = Readonly<Record<Tone, Paint>>;

const NONE = 'none';

/** Paper and ink, for print: told apart without colour, by tone and line. */
export const PRINT_PALETTE: Palette = {
  ground: { fill: NONE, stroke: '#66736e', width: 0.7 },
  thing: { fill: '#b9c4c0', stroke: '#4c5a55', width: 0.45 },
  'thing-soft': { fill: '#e3e9e7', stroke: '#4c5a55', width: 0.45 },
  'thing-line': { fill: NONE, stroke: '#66736e', width: 0.7 },
  cloth: { fill: '#9db5ab', stroke: '#1e2b27', width: 0.6 },
  shorts: { fill: '#5d756c', stroke: '#1e2b27', width: 0.6 },
  'shorts-far': { fill: '#4b6159', stroke: '#1e2b27', width: 0.6 },
  skin: { fill: '#ecd2b8', stroke: '#1e2b27', width: 0.6 },
  'skin-far': { fill: '#d3b79d', stroke: '#1e2b27', width: 0.6 },
  hair: { fill: '#4a3f38', stroke: '#1e2b27', width: 0.5 },
  mark: { fill: NONE, stroke: '#1e2b27', width: 0.4 },
  inner: { fill: NONE, stroke: '#8a6f58', width: 0.28 },
  brow: { fill: NONE, stroke: '#3a302a', width: 0.6 },
  eye: { fill: '#1e2b27', stroke: 'none', width: 0 },
  working: { fill: '#e39a18', stroke: '#7d4d00', width: 0.3, opacity: 0.72 },
  stretched: { fill: '#fff6e0', stroke: '#7d4d00', width: 0.3, opacity: 0.85, over: true },
  push: { fill: '#16408f', stroke: '#ffffff', width: 0.7 },
  way: { fill: NONE, stroke: '#16408f', width: 1.0 },
  halo: { fill: NONE, stroke: '#ffffff', width: 2.4 },
  before: { fill: '#edf1ef', stroke: '#75837d', width: 0.5 },
  plumb: { fill: NONE, stroke: '#8a9692', width: 0.35, dash: '2.2 1.8' },
};

/** A tone's attributes; line joins and the order of paint are the same for all and stand outside. */
export function attributesOf(
  { fill, stroke, width, dash, opacity, over }: Paint,
  unit = 1,
): string {
  return (
    `fill="${fill}" stroke="${stroke}" stroke-width="${broad(width, unit)}"` +
    (dash ? ` stroke-dasharray="${dash}"` : '') +
    (opacity ? ` opacity="${opacity}"` : '') +
    (over ? ' paint-order="normal"' : '')
  );
}

/** How broad a line is in a picture: as broad on paper whatever the picture shows. */
export const broad = (width: number, unit: number): number => toHundredth(width * unit);

/** A picture as a file of its own: text in SVG 1.1, in centimetres. */
export function svgText(drawing: Drawing, palette: Palette, title: string): string {
  const paths = (of: Drawing): string =>
    of.shapes
      .filter(({ d }) => d !== '')
      .map(({ tone, d }: Shape) => `<path ${attributesOf(palette[tone], of.unit)} d="${d}"/>`)
      .join('') + insetText(of, paths);
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${drawing.box.join(' ')}" role="img">` +
    `<title>${escaped(title)}</title>` +
    `<g paint-order="stroke" stroke-linejoin="round" stroke-linecap="round">${paths(drawing)}</g></svg>`
  );
}

/** The small picture in a close-up, as a picture within. */
export function insetText({ inset }: Drawing, paths: (of: Drawing) => string): string {
  if (!inset) return '';
  const [x, y, width, height] = inset.place.map((cm) => toTenth(cm));
  return `<svg x="${x}" y="${y}" width="${width}" height="${height}" viewBox="${inset.of.box.join(' ')}">${paths(inset.of)}</svg>`;
}

/** What differs in the dark: the same tones as the page's own (`.figure` in globals.css). */
const DARK: Readonly<Partial<Record<Tone, Partial<Pick<Paint, 'fill' | 'stroke'>>>>> = {
  ground: { stroke: '#6d7d77' },
  thing: { fill: '#55655f', stroke: '#6d7d77' },
  'thing-soft': { fill: '#7f908a', stroke: '#6d7d77' },
  'thing-line': { stroke: '#6d7d77' },
  cloth: { fill: '#86a096', stroke: '#0b120f' },
  shorts: { fill: '#4d645b', stroke: '#0b120f' },
  'shorts-far': { fill: '#3d5149', stroke: '#0b120f' },
  hair: { fill: '#63554b', stroke: '#0b120f' },
  inner: { stroke: '#8a6f58' },
  brow: { stroke: '#3a302a' },
  skin: { fill: '#dcbfa2', stroke: '#0b120f' },
  'skin-far': { fill: '#b3957a', stroke: '#0b120f' },
  push: { fill: '#8fb4ff', stroke: '#141b18' },
  way: { stroke: '#8fb4ff' },
  halo: { stroke: '#141b18' },
  before: { fill: '#26302c', stroke: '#6d7d77' },
};

/** A picture as a file that follows the reader's theme. The words beside it say what it shows. */
export function themedSvg(drawing: Drawing, palette: Palette = PRINT_PALETTE): string {
  const all = [...drawing.shapes, ...(drawing.inset?.of.shapes ?? [])];
  const tones = [...new Set(all.map(({ tone }) => tone))];
  const rule = (tone: Tone, { fill, stroke }: Partial<Paint>) =>
    `.${tone}{${fill ? `fill:${fill};` : ''}${stroke ? `stroke:${stroke}` : ''}}`;
  const style =
    tones.map((tone) => rule(tone, palette[tone])).join('') +
    `@media (prefers-color-scheme:dark){${tones.map((tone) => rule(tone, DARK[tone] ?? {})).join('')}}`;
  const paths = (of: Drawing): string =>
    of.shapes
      .filter(({ d }) => d !== '')
      .map(({ tone, d }) => {
        const { width, dash, opacity, over } = palette[tone];
        return `<path class="${tone}" stroke-width="${broad(width, of.unit)}"${dash ? ` stroke-dasharray="${dash}"` : ''}${opacity ? ` opacity="${opacity}"` : ''}${over ? ' paint-order="normal"' : ''} d="${d}"/>`;
      })
      .join('') + insetText(of, paths);
  const [, , width, height] = drawing.box;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${drawing.box.join(' ')}" width="${width}" height="${height}">` +
    `<style>${style}</style>` +
    `<g paint-order="stroke" stroke-linejoin="round" stroke-linecap="round">${paths(drawing)}</g></svg>`
  );
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
}

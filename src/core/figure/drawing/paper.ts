import type { Tone } from './shape';
import { type Paint, type Palette, PRINT_PALETTE } from './svg';
import { toHundredth } from '../../units';

const INK = '#111111';

/** Black on white, told apart without colour: what works is dark, what is stretched is hatched. */
export const PAPER_PALETTE: Palette = {
  ...PRINT_PALETTE,
  cloth: { ...PRINT_PALETTE.cloth, fill: '#c3cfca' },
  shorts: { ...PRINT_PALETTE.shorts, fill: '#8b9b95' },
  'shorts-far': { ...PRINT_PALETTE['shorts-far'], fill: '#75857f' },
  skin: { ...PRINT_PALETTE.skin, fill: '#f6ece1' },
  'skin-far': { ...PRINT_PALETTE['skin-far'], fill: '#ddd0c1' },
  working: { fill: '#333333', stroke: 'none', width: 0, opacity: 0.55 },
  stretched: { fill: '#ffffff', stroke: INK, width: 0.3, over: true },
  push: { fill: INK, stroke: '#ffffff', width: 0.7 },
  way: { fill: 'none', stroke: INK, width: 1 },
};

/** Lines of a picture on a page, in CSS pixels for each of a picture file's own. */
const PX = 2.7;

/** The palette as rules of a page, lines as broad whatever a picture shows. */
export function paletteCss(selector: string, palette: Palette): string {
  const rule = ([tone, { fill, stroke, width, dash, opacity, over }]: [string, Paint]) =>
    `${selector} .${tone}{fill:${fill};stroke:${stroke};stroke-width:${toHundredth(width * PX)}px` +
    `${dash ? ';stroke-dasharray:6px 5px' : ''}${opacity ? `;opacity:${opacity}` : ''}${over ? ';paint-order:normal' : ''}}`;
  return (
    `${selector} path{paint-order:stroke;stroke-linejoin:round;stroke-linecap:round;vector-effect:non-scaling-stroke}` +
    (Object.entries(palette) as [Tone, Paint][]).map(rule).join('')
  );
}

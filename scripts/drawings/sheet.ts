import { parseArgs } from 'node:util';
import sharp from 'sharp';
import { FIGURES } from '@/catalogue/figures';
import {
  type Drawing,
  type Figure,
  PRINT_PALETTE,
  drawFigure,
  drawPose,
  svgText,
} from '@/core/figure';

/**
 * A contact sheet of drawings without a word on it but a number, for looking at them as somebody who
 * does not know them: `npm run -s drawings -- --page 1 --to sheet.png`. Twelve exercises a page, the
 * phases of each beside each other; `--ids a,b` instead of a page; `--fault` shows the faults too.
 */
const { values } = parseArgs({
  options: {
    page: { type: 'string', default: '1' },
    ids: { type: 'string' },
    to: { type: 'string', default: 'drawings.png' },
    fault: { type: 'boolean', default: false },
    side: { type: 'string', default: 'right' },
    columns: { type: 'string', default: '3' },
    width: { type: 'string', default: '1500' },
  },
});

const A_PAGE = 12;
const GAP = 10;

const ids = values.ids
  ? values.ids.split(',')
  : Object.keys(FIGURES).slice((Number(values.page) - 1) * A_PAGE, Number(values.page) * A_PAGE);
const side = values.side === 'left' ? 'left' : 'right';

function phases(figure: Figure): Drawing[] {
  const last = figure.poses.length - 1;
  const drawn = figure.poses.map((_, i) => drawFigure(figure, i / last, { side, before: i > 0 }));
  return values.fault && figure.fault
    ? [...drawn, drawPose(figure, figure.fault.pose, { side, effort: false })]
    : drawn;
}

const columns = Number(values.columns);
const cellWide = (Number(values.width) - GAP) / columns - GAP;
const cellHigh = cellWide * 0.42;
const cells = ids.map((id, index) => {
  const figure = FIGURES[id];
  if (!figure) throw new Error(`no drawing is called ${id}`);
  const x = GAP + (index % columns) * (cellWide + GAP);
  const y = GAP + Math.floor(index / columns) * (cellHigh + GAP);
  const drawings = phases(figure);
  const wide = cellWide / drawings.length;
  const nested = drawings.map((drawing, i) => {
    const [, , w, h] = drawing.box;
    const scale = Math.min((wide - 4) / w, cellHigh / h);
    const [dw, dh] = [w * scale, h * scale];
    const [dx, dy] = [x + i * wide + (wide - 4 - dw) / 2, y + (cellHigh - dh) / 2];
    return svgText(drawing, PRINT_PALETTE, '').replace(
      '<svg ',
      `<svg x="${dx}" y="${dy}" width="${dw}" height="${dh}" `,
    );
  });
  return `<rect x="${x}" y="${y}" width="${cellWide}" height="${cellHigh}" fill="none" stroke="#ccd5d1"/>${nested.join('')}<text x="${x + 6}" y="${y + 20}" font-size="16" fill="#8a9692">${index + 1}</text>`;
});
const rows = Math.ceil(ids.length / columns);
const [wide, high] = [Number(values.width), GAP + rows * (cellHigh + GAP)];
const sheet = `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}"><rect width="100%" height="100%" fill="#fbfcfb"/>${cells.join('')}</svg>`;
void sharp(Buffer.from(sheet)).png().toFile(values.to);

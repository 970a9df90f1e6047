import { gzipSync } from 'node:zlib';
import { FIGURES } from '@/catalogue/figures';
import { drawFigure, filmOf, themedSvg } from '@/core/figure';

/** How long a frame takes that was not drawn yet, and how large a still is: `npm run bench:figures`. */
const figures = Object.entries(FIGURES);
for (const [, figure] of figures) drawFigure(figure, 0.5, { before: true });

const times: number[] = [];
for (let round = 0; round < 3; round += 1)
  for (const [, figure] of figures) {
    const film = filmOf(figure, { before: true });
    film.at(0);
    for (let i = 1; i < 12; i += 1) {
      const began = performance.now();
      film.at(i / 12);
      times.push(performance.now() - began);
    }
  }
times.sort((a, b) => a - b);
const at = (share: number) => (times[Math.floor(times.length * share)] ?? 0).toFixed(2);

const sizes = figures
  .map(([id, figure]) => {
    const last = figure.poses.length - 1;
    const stills = figure.poses.map((_, i) =>
      gzipSync(themedSvg(drawFigure(figure, i / last, { before: true }))),
    );
    return [id, Math.max(...stills.map(({ length }) => length))] as const;
  })
  .sort((a, b) => b[1] - a[1]);

console.log(`a frame, first time: median ${at(0.5)} ms, 95 of 100 under ${at(0.95)} ms`);
console.log(`the largest still, gzipped: ${sizes[0]?.[0]} ${sizes[0]?.[1]} bytes`);

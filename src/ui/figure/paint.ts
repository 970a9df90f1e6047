import type { Shape } from '@/core/figure';

const SVG = 'http://www.w3.org/2000/svg';

/** What a group shows, as it was painted last. */
const painted = new WeakMap<SVGGElement, readonly Shape[]>();

/**
 * Paints shapes as the paths of a group, which nobody else changes. Paths that are there stay: only what
 * differs from the last time is told to the browser, which need not read the whole picture anew at every
 * moment of a movement.
 */
export function paint(group: SVGGElement, shapes: readonly Shape[]): void {
  const before = painted.get(group) ?? [];
  if (before === shapes) return;
  for (const [index, { tone, d }] of shapes.entries()) {
    const there = before[index];
    const path = group.children[index] ?? group.appendChild(document.createElementNS(SVG, 'path'));
    if (there?.tone !== tone) path.setAttribute('class', tone);
    if (there?.d !== d) path.setAttribute('d', d);
  }
  for (let more = before.length; more > shapes.length; more -= 1) group.lastElementChild?.remove();
  painted.set(group, shapes);
}

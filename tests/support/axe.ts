import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';

/** axe-core with the WCAG 2.2 AA rules, run in a page of the application. */
const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

export const WCAG = {
  type: 'tag',
  values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
} as const;
/** The only rules that a theme can change. */
const COLOURS = { type: 'rule', values: ['color-contrast', 'link-in-text-block'] } as const;

/** The views that every submission looks at in dark; `npm run long` looks at all of them. */
const DARK_SAMPLE = [
  'screen, blocked',
  'measure, with findings',
  'plan, with a mistake',
  'teach',
  'follow',
  'morning list',
  'clinic',
  'today',
  'player',
  'stop and what to do',
];

/** What axe finds in light, and what its rules of colour find in dark. */
export async function violations(page: Page, view: string): Promise<string[]> {
  const scheme = (value: 'light' | 'dark') =>
    page.emulateMediaFeatures([
      { name: 'prefers-color-scheme', value },
      { name: 'prefers-reduced-motion', value: 'reduce' },
    ]);
  await scheme('light');
  // A page that is read anew has its title a moment later.
  await page.waitForFunction(() => document.title !== '');
  const light = await run(page, WCAG);
  if (!process.env.DARK_EVERYWHERE && !DARK_SAMPLE.includes(view)) return light;
  await scheme('dark');
  const dark = await run(page, COLOURS);
  await scheme('light');
  return [...light, ...dark.map((found) => `in dark, ${found}`)];
}

/** @param without what is not looked into, as a selector */
export async function run(
  page: Page,
  only: typeof WCAG | typeof COLOURS,
  without?: string,
): Promise<string[]> {
  // Through the debugger, so that the page's own policy stays as strict as it is.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const exclude = without === undefined ? [] : [without];
  return page.evaluate(
    async (runOnly, exclude) => {
      const { axe } = window as unknown as {
        axe: {
          run(
            context: unknown,
            options: unknown,
          ): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
        };
      };
      // Only what it finds is worked out in full; what passes is not described.
      const result = await axe.run(
        { include: [['html']], exclude: exclude.map((one) => [one]) },
        { runOnly, resultTypes: ['violations'], preload: false },
      );
      return result.violations.flatMap(({ id, nodes }) =>
        nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`),
      );
    },
    only,
    exclude,
  );
}

/** Small targets on the patient's screens: at least 44 px high, words within a sentence aside. */
export function smallTargets(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll('button, summary, a, label')]
      .filter(
        (element) => !element.closest('.sr-only') && element.getBoundingClientRect().height > 0,
      )
      .filter(
        (element) =>
          element.getBoundingClientRect().height < 44 &&
          !element.querySelector('input:not([type=radio])'),
      )
      .map((element) => element.textContent ?? ''),
  );
}

/** Names that several buttons of a page bear: those who hear them one by one cannot tell them apart. */
export function alikeButtons(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const names = [...document.querySelectorAll('button')]
      .filter((one) => one.checkVisibility() && !one.disabled)
      .map((one) =>
        (one.getAttribute('aria-label') ?? one.textContent ?? '').replace(/\s+/g, ' ').trim(),
      );
    const seen = new Set<string>();
    const twice = names.filter((name) => seen.has(name) || !seen.add(name));
    return [...new Set(twice)].map((name) => `several buttons are called “${name}”`);
  });
}

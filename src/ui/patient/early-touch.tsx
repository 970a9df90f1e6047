import type { Soreness } from '@/core/adherence';

/** What a touch can ask for while the page's scripts are on their way; an address can say none of it. */
const EARLY = ['answer', 'language'] as const;
type Early = (typeof EARLY)[number];

type Waiting = {
  /** The last that was touched of each. */
  dlTouched?: Partial<Record<string, string | undefined>>;
  /** Those of which the page hears its touches itself. */
  dlAwake?: Partial<Record<string, true>>;
};

/** Hears what is touched until the page is awake, and shows that it was. */
function hear(): void {
  document.addEventListener(
    'click',
    (event) => {
      const waiting = window as Waiting;
      const touched = event.target instanceof Element && event.target.closest('[data-early]');
      if (!(touched instanceof HTMLElement)) return;
      const [what = '', value = ''] = (touched.dataset.early ?? '').split(':');
      if (waiting.dlAwake?.[what]) return;
      waiting.dlTouched = { ...waiting.dlTouched, [what]: value };
      touched.setAttribute('aria-busy', 'true');
    },
    true,
  );
}

/** Its text is put into the page, so it reaches nothing outside itself. */
export function EarlyTouch({ nonce }: { nonce: string }) {
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${hear.toString()})()` }} />;
}

/** What a button or link asks for when it is touched before the page is awake: for `data-early`. */
export const earlyTouch = (what: Early, value: string) => `${what}:${value}`;

/** What was touched on this document before it was awake, once; null without. From now on the page hears it itself. */
function takeEarly(what: Early): string | null {
  const waiting = window as Waiting;
  const touched = waiting.dlTouched?.[what] ?? null;
  waiting.dlTouched = { ...waiting.dlTouched, [what]: undefined };
  waiting.dlAwake = { ...waiting.dlAwake, [what]: true };
  for (const one of document.querySelectorAll(`[data-early^="${what}:"]`))
    one.removeAttribute('aria-busy');
  return touched;
}

/** The morning's answer that was touched too early. */
export function takeEarlyAnswer(): Extract<Soreness, 'none' | 'some'> | null {
  const touched = takeEarly('answer');
  return touched === 'none' || touched === 'some' ? touched : null;
}

/** The language that was touched too early, by its tag. */
export function takeEarlyLanguage(): string | null {
  return takeEarly('language');
}

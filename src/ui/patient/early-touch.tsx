import type { Soreness } from '@/core/adherence';

/** What was answered by a touch while the page's scripts were on their way. */
type Waiting = { dlAnswer?: string | undefined; dlAwake?: boolean };

/** Hears which answer is touched until the page is awake. An address can say nothing here. */
function hear(): void {
  document.addEventListener(
    'click',
    (event) => {
      const waiting = window as Waiting;
      const link = event.target instanceof Element ? event.target.closest('a[data-answer]') : null;
      if (link instanceof HTMLElement && !waiting.dlAwake) waiting.dlAnswer = link.dataset.answer;
    },
    true,
  );
}

/** Its text is put into the page, so it reaches nothing outside itself. */
export function EarlyTouch({ nonce }: { nonce: string }) {
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${hear.toString()})()` }} />;
}

/**
 * The answer that was touched on this document before it was awake, once; null without one. From now on
 * the page hears its touches itself.
 */
export function takeEarlyAnswer(): Extract<Soreness, 'none' | 'some'> | null {
  const waiting = window as Waiting;
  const { dlAnswer } = waiting;
  waiting.dlAnswer = undefined;
  waiting.dlAwake = true;
  return dlAnswer === 'none' || dlAnswer === 'some' ? dlAnswer : null;
}

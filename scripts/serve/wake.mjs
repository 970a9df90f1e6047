/**
 * Runs in the patient's page, before any other script, and decides when the others begin.
 *
 * The page comes complete from the clinic: lantern, doses, pictures and links need no script. So the
 * scripts wait until somebody touches the page, or four seconds after it was loaded; on a phone that
 * holds something the clinic does not have, or that has no signal, they begin at once. A button
 * touched before that does its work as soon as the page is awake.
 *
 * Self-contained: its text is put into the page.
 */
export function wake() {
  const AT_REST_MS = 4000;
  /** A page that never says it is awake (an error's) answers touches again after this. */
  const SURELY_AWAKE_MS = 3000;
  const late = [...document.querySelectorAll('script[data-late]')];
  const kept = (key) => {
    try {
      return localStorage.getItem(key);
    } catch {
      return null;
    }
  };
  let begun = false;
  let awake = false;
  let touched = null;

  function begin() {
    if (begun) return;
    begun = true;
    for (const { dataset } of late) {
      const script = document.createElement('script');
      script.src = dataset.late;
      script.async = false;
      script.onload = () => setTimeout(onAwake, SURELY_AWAKE_MS);
      document.head.append(script);
    }
  }

  function onAwake() {
    if (awake) return;
    awake = true;
    removeEventListener('click', onClick, { capture: true });
    if (touched?.isConnected) touched.click();
  }

  function onClick(event) {
    const button = event.target.closest?.('button');
    if (awake || !button) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    touched = button;
    begin();
  }

  function onLoad() {
    // Fetched now, so that a touch waits for nothing but the page itself.
    for (const { dataset } of late) {
      const link = document.createElement('link');
      link.rel = 'preload';
      link.as = 'script';
      link.href = dataset.late;
      document.head.append(link);
    }
    setTimeout(begin, AT_REST_MS);
  }

  document.documentElement.dataset.text = kept('dl-text-size') ?? 'normal';
  for (const type of ['pointerdown', 'touchstart', 'keydown', 'scroll'])
    addEventListener(type, begin, { once: true, capture: true, passive: true });
  addEventListener('click', onClick, { capture: true });
  addEventListener('dl-awake', onAwake, { once: true });
  if (kept('dl-unsent') !== null || !navigator.onLine) begin();
  else addEventListener('load', onLoad, { once: true });
}

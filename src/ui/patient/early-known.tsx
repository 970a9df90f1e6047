/**
 * Whether this phone has shown when to stop, before anything is drawn: what only a first screen has must
 * not come later and push away what somebody is about to touch.
 */
function setKnown(): void {
  let known = 'no';
  try {
    known = localStorage.getItem('dl-knows-when-to-stop') ?? 'no';
  } catch {
    // A window that keeps nothing is a first one.
  }
  document.documentElement.dataset.known = known;
}

/** Its text is put into the page, so it reaches nothing outside itself. */
export function EarlyKnown({ nonce }: { nonce: string }) {
  return (
    <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${setKnown.toString()})()` }} />
  );
}

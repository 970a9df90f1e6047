/** The size of type this phone chose, before anything is drawn: the page's scripts come later. */
function setSize(): void {
  try {
    document.documentElement.dataset.text = localStorage.getItem('dl-text-size') ?? 'normal';
  } catch {
    // A window that keeps nothing has the usual size.
  }
}

/** Its text is put into the page, so it reaches nothing outside itself. */
export function EarlyTextSize({ nonce }: { nonce: string }) {
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${setSize.toString()})()` }} />;
}

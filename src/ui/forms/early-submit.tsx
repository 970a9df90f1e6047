/** Forms that were sent while the page's scripts were on their way, and those that hear themselves now. */
type Waiting = {
  dlForms?: {
    sent: { readonly form: HTMLFormElement; readonly by: HTMLElement | null } | null;
    readonly awake: WeakSet<HTMLFormElement>;
  };
};

/**
 * Keeps a form that is sent too early from being sent by the browser itself, which would put what was
 * typed into the address, and shows that it was sent.
 */
function hear(): void {
  const waiting: NonNullable<Waiting['dlForms']> = { sent: null, awake: new WeakSet() };
  (window as Waiting).dlForms = waiting;
  document.addEventListener(
    'submit',
    (event) => {
      const form = event.target;
      if (!(form instanceof HTMLFormElement) || !form.hasAttribute('data-waits')) return;
      if (waiting.awake.has(form)) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      waiting.sent = { form, by: event.submitter };
      form.setAttribute('aria-busy', 'true');
    },
    true,
  );
}

/** Its text is put into the page, so it reaches nothing outside itself. */
export function EarlySubmit({ nonce }: { nonce: string }) {
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${hear.toString()})()` }} />;
}

/** From now on a form hears itself; one that was sent before is sent now, once. */
export function awaken(form: HTMLFormElement): void {
  const waiting = (window as Waiting).dlForms;
  if (!waiting) return;
  waiting.awake.add(form);
  const { sent } = waiting;
  if (sent?.form !== form) return;
  waiting.sent = null;
  form.removeAttribute('aria-busy');
  // Everything else that wakes with the form, such as what was typed before, is there by then.
  queueMicrotask(() => form.requestSubmit(sent.by));
}

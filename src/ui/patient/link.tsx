/** A link of the patient's pages: a whole line a finger can hit. */
export function Link({ href, children }: { href: string; children: string }) {
  return (
    <a href={href} className="inline-block min-h-11 py-2 text-action underline">
      {children}
    </a>
  );
}

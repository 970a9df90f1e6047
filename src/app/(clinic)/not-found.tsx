import { QuietLink } from '@/ui/primitives/quiet-link';

/** Within the clinic's frame, which has the page's one main part already. */
export default function NotInThisClinic() {
  return (
    <div className="grid max-w-xl gap-3 py-10">
      <h1 className="text-2xl">There is no such record in your clinic</h1>
      <p className="text-soft">It may belong to another clinic, or the address is not complete.</p>
      <QuietLink href="/" className="text-action underline">
        Back to the morning list
      </QuietLink>
    </div>
  );
}

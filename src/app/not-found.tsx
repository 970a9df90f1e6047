import { QuietLink } from '@/ui/primitives/quiet-link';

export default function NotFound() {
  return (
    <main className="mx-auto grid max-w-xl gap-3 px-5 py-16">
      <h1 className="text-2xl">There is nothing here</h1>
      <p className="text-soft">The record is not in your clinic, or the address is not complete.</p>
      <QuietLink href="/" className="text-action underline">
        Back to the beginning
      </QuietLink>
    </main>
  );
}

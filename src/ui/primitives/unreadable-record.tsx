/** Stands where a page would, while part of its record cannot be read. */
export function UnreadableRecord({ say }: { say: string }) {
  return (
    <section role="alert" className="my-6 max-w-xl border-l-2 border-stop py-1 pl-4">
      <h2 className="text-lg">This record cannot be shown</h2>
      <p>{say}</p>
    </section>
  );
}

/** Why the form was refused; announced when it appears. */
export function Refusal({ say }: { say: string }) {
  return (
    <div role="alert" aria-live="assertive">
      {say && (
        <p className="rounded border border-stop px-3 py-2 text-stop">
          <strong className="font-semibold">{say}</strong>
        </p>
      )}
    </div>
  );
}

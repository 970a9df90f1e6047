/** While made-up patients are reckoned, and where what reckons them did not come. */
export function Reckoning({ missing }: { readonly missing: boolean }) {
  return (
    <p className="text-soft" role="status">
      {missing
        ? 'It could not be reckoned: this part of the page did not come. Look at the connection and try again.'
        : 'Reckoning …'}
    </p>
  );
}

/** The signs on small buttons, drawn with one line each; what they mean stands in the button's label. */
function Sign({ d, width = 1 }: { readonly d: string; readonly width?: number }) {
  return (
    <svg
      width={15}
      height={15}
      viewBox="0 0 15 15"
      fill="none"
      stroke="currentColor"
      strokeWidth={width}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={d} />
    </svg>
  );
}

export const UpSign = () => <Sign d="M7.5 13V2.5M3 7l4.5-4.5L12 7" />;
export const DownSign = () => <Sign d="M7.5 2v10.5M3 8l4.5 4.5L12 8" />;
export const CopySign = () => <Sign d="M5.5 5.5h7v7h-7zM9.5 5.5v-3h-7v7h3" />;
export const CrossSign = () => <Sign d="M3 3l9 9M12 3l-9 9" />;
/** Six dots: no more than points with round ends. */
export const GripSign = () => (
  <Sign width={1.8} d="M5.5 4v.01M5.5 7.5v.01M5.5 11v.01M9.5 4v.01M9.5 7.5v.01M9.5 11v.01" />
);
export const WarningSign = () => <Sign d="M7.5 2L14 13H1zM7.5 6v3.5M7.5 11.4v.01" />;

import { type ComponentProps, useId } from 'react';

/**
 * The one big button of a patient's screen.
 *
 * @param isLow of the letters around it and no higher than a finger: where the screen has little room
 * @param missing which answer it waits for, in a sentence; it looks so, and does nothing until it is there
 */
export function BeginButton({
  children,
  missing = '',
  isLow = false,
  onClick,
  ...props
}: ComponentProps<'button'> & { missing?: string; isLow?: boolean }) {
  const about = useId();
  const waits = missing !== '' || props.disabled === true;
  return (
    <>
      <button
        type="button"
        {...props}
        // It stays within reach of the keyboard, so that what is missing is read out with it.
        aria-disabled={missing !== '' || undefined}
        aria-describedby={missing === '' ? undefined : about}
        onClick={missing === '' ? onClick : (event) => event.preventDefault()}
        className={`rounded px-6 text-[1.1em] font-semibold ${isLow ? 'min-h-[48px] py-1' : 'min-h-14 py-3'} ${
          waits
            ? 'cursor-not-allowed border border-dashed border-soft bg-paper text-soft'
            : 'bg-action text-on-action'
        }`}
      >
        {children}
      </button>
      {missing !== '' && (
        <p id={about} role="status" className="text-soft">
          {missing}
        </p>
      )}
    </>
  );
}

'use client';

import { switchKeys, useKeysAreOn } from './key-switch';

/** Switches the keys of the pages off and on, on this browser. */
export function KeySwitch() {
  const on = useKeysAreOn();
  return (
    <label className="flex items-center gap-2 pt-3">
      <input
        type="checkbox"
        className="size-4"
        checked={on}
        onChange={(event) => switchKeys(event.target.checked)}
      />
      Use the keys of the pages on this computer
    </label>
  );
}

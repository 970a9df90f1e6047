const KEY = 'dl-knows-when-to-stop';

/** Whether this device has shown when to stop before; asks again where nothing can be kept. */
export function knowsWhenToStop(): boolean {
  try {
    return localStorage.getItem(KEY) === 'yes';
  } catch {
    return false;
  }
}

/** Notes that this device has shown it. */
export function nowKnowsWhenToStop(): void {
  try {
    localStorage.setItem(KEY, 'yes');
  } catch {
    // It will be shown again next time; that is all.
  }
}

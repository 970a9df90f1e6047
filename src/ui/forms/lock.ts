/** Locks the desk; set by the pages of the clinic. */
let lock: (() => void) | null = null;

/** What a page does when the desk is to be locked. */
export function whenToLock(how: (() => void) | null): void {
  lock = how;
}

/** Locks the desk: nothing of it is seen until its member has signed in again. */
export function lockDesk(): void {
  lock?.();
}

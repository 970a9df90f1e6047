/** Whether a click follows a link here and now: no key is held for another window, and nothing is saved by it. */
export function isPlainClick(
  event: Pick<MouseEvent, 'button' | 'metaKey' | 'ctrlKey' | 'shiftKey' | 'altKey'>,
  link: Pick<HTMLAnchorElement, 'target' | 'hasAttribute'>,
): boolean {
  if (event.button !== 0) return false;
  if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return false;
  return link.target === '' && !link.hasAttribute('download');
}

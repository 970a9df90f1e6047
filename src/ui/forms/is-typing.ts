/** True while somebody types into a field, so that a key is a letter and no command. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.matches('input:not([type=radio], [type=checkbox]), textarea, select')
  );
}

/** Sets a value past React's notice, so that React takes the next event for typing. */
function type(field: HTMLInputElement | HTMLTextAreaElement, value: string): void {
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set?.call(field, value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * Goes on with what was done on a page that the server had rendered, before its scripts were here: what was typed is typed,
 * and the key and the button that were pressed last are pressed.
 */
export function goOn(): void {
  const { hear, typed, key, pressed } = window.early ?? {};
  delete window.early?.hear;
  delete window.early?.typed;
  delete window.early?.key;
  delete window.early?.pressed;
  for (const [kind, listener] of Object.entries(hear ?? {})) window.removeEventListener(kind, listener, true);
  for (const [field, text] of typed ?? []) {
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !field.isConnected) continue;
    // React may have noticed the text and put it out again, or not have noticed it at all.
    field.value = field.defaultValue;
    type(field, text);
  }
  if (key !== undefined) document.dispatchEvent(new KeyboardEvent('keydown', key));
  pressed?.removeAttribute('aria-busy');
  if (pressed?.isConnected === true) pressed.click();
}

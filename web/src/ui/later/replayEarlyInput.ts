/** Sets the value without React's setter, so that React handles the input event as typing. */
function type(field: HTMLInputElement | HTMLTextAreaElement, value: string): void {
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set?.call(field, value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * Replays what the user did on a page that the server rendered, before its scripts were loaded: what they typed, and
 * the key and the button they pressed last.
 */
export function replayEarlyInput(): void {
  const { hear, typed, key, pressed } = window.early ?? {};
  delete window.early?.hear;
  delete window.early?.typed;
  delete window.early?.key;
  delete window.early?.pressed;
  for (const [kind, listener] of Object.entries(hear ?? {})) window.removeEventListener(kind, listener, true);
  for (const [field, text] of typed ?? []) {
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !field.isConnected) continue;
    // Nobody but the user may put a file in: it is there still, and is only told of.
    if (field.type === 'file') {
      field.dispatchEvent(new Event('change', { bubbles: true }));
      continue;
    }
    // React may have reset the text, or kept it without knowing of it.
    field.value = field.defaultValue;
    type(field, text);
  }
  if (key !== undefined) document.dispatchEvent(new KeyboardEvent('keydown', key));
  pressed?.removeAttribute('aria-busy');
  if (pressed?.isConnected === true) pressed.click();
}

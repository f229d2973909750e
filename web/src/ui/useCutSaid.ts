import { useEffect } from 'react';
import * as m from '#messages';
import { useMessages } from './page/messages';

/** A browser cuts what is pasted into a field at its end without a word; here it is said, wherever the field stands. */
export function useCutSaid(): void {
  const { say } = useMessages();
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const field = event.target;
      if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || field.maxLength < 0) return;
      const chosen = (field.selectionEnd ?? 0) - (field.selectionStart ?? 0);
      const pasted = event.clipboardData?.getData('text') ?? '';
      if (field.value.length - chosen + pasted.length > field.maxLength) say(m.common_cut({ most: field.maxLength }));
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, [say]);
}

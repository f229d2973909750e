import { useMessages } from './page/messages';

/** Puts a text where it can be pasted from, and says so. */
export function useCopy() {
  const { say } = useMessages();
  return (text: string, done: string) =>
    void navigator.clipboard.writeText(text).then(
      () => say(done),
      () => undefined,
    );
}

/** A text to be said, and in which language: a code as “cy-GB”. */
export interface Said {
  text: string;
  lang: string;
}

/** A little slower than talk between grown-ups. */
const rate = 0.9;

export const canSpeak = (): boolean => 'speechSynthesis' in window && 'SpeechSynthesisUtterance' in window;

/** Waits for the first press: before it a browser lets no page speak. */
let waiting: (() => void) | null = null;

function atFirstPress(parts: Said[]): void {
  if (waiting !== null) removeEventListener('pointerdown', waiting);
  waiting = () => {
    waiting = null;
    say(parts);
  };
  addEventListener('pointerdown', waiting, { once: true });
}

/** Stops whatever is being said. */
export function hush(): void {
  if (waiting !== null) removeEventListener('pointerdown', waiting);
  waiting = null;
  if (canSpeak()) speechSynthesis.cancel();
}

/**
 * Says texts one after the other with the voice of the device, in place of whatever is being said. Where the browser
 * does not let the page speak before somebody has pressed something, they are said at the first press.
 */
export function say(parts: Said[]): void {
  if (!canSpeak()) return;
  hush();
  for (const [i, { text, lang }] of parts.entries()) {
    if (text.trim() === '') continue;
    const utterance = new SpeechSynthesisUtterance(text);
    utterance.lang = lang;
    utterance.rate = rate;
    const voices = speechSynthesis.getVoices();
    const [language] = lang.split('-');
    utterance.voice =
      voices.find((voice) => voice.lang === lang) ??
      voices.find((voice) => voice.lang.split(/[-_]/)[0] === language) ??
      null;
    utterance.onerror = (event) => {
      if (event.error === 'not-allowed') atFirstPress(parts.slice(i));
    };
    speechSynthesis.speak(utterance);
  }
}

import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { canSpeak, hush, say } from './speech';

interface Utterance {
  text: string;
  lang: string;
  voice: { lang: string } | null;
  onerror?: (event: { error: string }) => void;
}

const spoken: Utterance[] = [];
const cancel = vi.fn();

beforeEach(() => {
  spoken.length = 0;
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      lang = '';
      voice = null;
      constructor(public text: string) {}
    },
  );
  vi.stubGlobal('speechSynthesis', {
    speak: (one: Utterance) => spoken.push(one),
    cancel,
    getVoices: () => [{ lang: 'en-US' }, { lang: 'cy-GB' }, { lang: 'fr_FR' }],
  });
});
afterEach(() => {
  hush();
  vi.unstubAllGlobals();
});

describe('what is said', () => {
  it('is said in its language, with a voice that has it', () => {
    say([
      { text: 'Go to your group.', lang: 'en' },
      { text: 'Ble mae’r wal?', lang: 'cy-GB' },
      { text: 'Où ?', lang: 'fr' },
      { text: '  ', lang: 'en' },
      { text: '?', lang: 'ja' },
    ]);
    expect(spoken.map((one) => [one.lang, one.voice?.lang])).toEqual([
      ['en', 'en-US'],
      ['cy-GB', 'cy-GB'],
      ['fr', 'fr_FR'],
      ['ja', undefined],
    ]);
  });

  it('takes the place of what was being said', () => {
    say([{ text: 'One.', lang: 'en' }]);
    cancel.mockClear();
    say([{ text: 'Two.', lang: 'en' }]);
    expect(cancel).toHaveBeenCalled();
  });

  it('waits for the first press where the browser does not let the page speak before', () => {
    say([{ text: 'Hello.', lang: 'en' }]);
    spoken[0]?.onerror?.({ error: 'not-allowed' });
    expect(spoken).toHaveLength(1);
    window.dispatchEvent(new Event('pointerdown'));
    expect(spoken.map((one) => one.text)).toEqual(['Hello.', 'Hello.']);
    window.dispatchEvent(new Event('pointerdown'));
    expect(spoken).toHaveLength(2);
  });

  it('is nothing on a device that has no voice', () => {
    vi.unstubAllGlobals();
    expect(canSpeak()).toBe(false);
    say([{ text: 'Hello.', lang: 'en' }]);
  });
});

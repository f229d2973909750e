import { BigSign } from '../../../ui/signs/BigSign';
import { canSpeak, say } from '../../../ui/speech';
import * as m from '#messages';

/** Text as it is said: without its markup. */
const plain = (html: string) => new DOMParser().parseFromString(html, 'text/html').body.textContent.trim();

/** Reads a text of a worksheet out, at a press. */
export default function ReadOut({ texts, html = '', lang }: { texts: string[]; html?: string; lang: string }) {
  const all = [html === '' ? '' : plain(html), ...texts].filter((text) => text.trim() !== '');
  if (all.length === 0 || !canSpeak()) return null;
  return (
    <button
      type="button"
      aria-label={m.young_listen()}
      onClick={() => say(all.map((text) => ({ text, lang })))}
      className="mb-2 flex size-16 shrink-0 items-center justify-center border-2 border-ink bg-sheet active:bg-wash"
    >
      <BigSign name="speak" size={40} />
    </button>
  );
}

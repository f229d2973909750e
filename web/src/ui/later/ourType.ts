// Our type, put in place all at once.
import '../../type.css';
import { drawer } from '../drawer';

const faces = ['Atkinson Hyperlegible Next Variable', 'Besley Variable'];
/** So much of a page's text says which letters it needs. */
const enough = 5_000;

const root = document.documentElement;
const apply = () => root.classList.add('typed');

/** A page that can be read already is not laid out anew under the reader's eyes, but when she turns away or goes on. */
function applyLater(): void {
  const done = new AbortController();
  const now = () => {
    done.abort();
    apply();
  };
  const { signal } = done;
  document.addEventListener('visibilitychange', now, { signal });
  document.addEventListener('click', ({ target }) => target instanceof Element && target.closest('a') && now(), {
    signal,
  });
}

/** Loads our type and puts all of it in place at once, so that the page is laid out anew once. */
export async function applyType(): Promise<void> {
  const text = document.body.textContent.slice(0, enough);
  await Promise.allSettled(faces.map((face) => document.fonts.load(`1em '${face}'`, text)));
  drawer('type').save('1');
  if ('first' in root.dataset) applyLater();
  else apply();
}

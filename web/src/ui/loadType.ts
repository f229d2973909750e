const faces = ['Atkinson Hyperlegible Next Variable', 'Besley Variable'];
/** So much of a page's text says which letters it needs. */
const enough = 5_000;

async function load(): Promise<void> {
  await import('../type.css');
  const text = document.body.textContent.slice(0, enough);
  await Promise.allSettled(faces.map((face) => document.fonts.load(`1em '${face}'`, text)));
  document.documentElement.classList.add('typed');
}

/**
 * Our type comes after the page can be used: on a slow line letters are read sooner in another type than not at all. All of
 * it is put in place at once, so that the page is laid out anew once.
 */
export function loadType(): void {
  if (document.readyState === 'complete') void load();
  else window.addEventListener('load', () => void load(), { once: true });
}

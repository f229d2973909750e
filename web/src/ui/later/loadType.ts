// When our type is loaded.
const load = () => void import('./ourType').then((type) => type.applyType());

/**
 * Our type comes after the page can be used: on a slow line letters are read sooner in another type than not at all.
 * From then on pages begin with it (index.html).
 */
export function loadType(): void {
  if (document.documentElement.classList.contains('typed')) return;
  if (document.readyState === 'complete') load();
  else window.addEventListener('load', load, { once: true });
}

/** Our type comes after the page can be used: on a slow line letters are read sooner in another type than not at all. */
export function loadType(): void {
  const load = () => void import('../type.css');
  if (document.readyState === 'complete') load();
  else window.addEventListener('load', load, { once: true });
}

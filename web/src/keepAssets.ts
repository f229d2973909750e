/**
 * Keeps the student's page and what it loads on the device, so that a reload on a bad line, or on none, shows the page
 * at once. What the page shows is never kept there: it is always asked of the server (see student-worker.js).
 */
export function keepAssets(): void {
  if (!('serviceWorker' in navigator)) return; // it needs a secure address; the browser's own store does most of it
  window.addEventListener(
    'load',
    () => void navigator.serviceWorker.register('/student-worker.js', { scope: '/student' }).catch(() => undefined),
    { once: true },
  );
}

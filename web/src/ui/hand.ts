const signs = ['pointermove', 'pointerdown', 'keydown', 'focusin', 'touchstart', 'wheel'] as const;

/**
 * Somebody has begun to use the page: moved the pointer, touched the screen, pressed a key. What is only of use to a hand is
 * put in place then; on a slow device the page is read sooner.
 */
export const hand = new Promise<void>((resolve) => {
  if (typeof window === 'undefined') return; // no page, no hand
  const come = () => {
    for (const sign of signs) window.removeEventListener(sign, come, true);
    resolve();
  };
  for (const sign of signs) window.addEventListener(sign, come, { capture: true, passive: true });
});

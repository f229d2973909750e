// When somebody first uses the page.
const signs = ['pointermove', 'pointerdown', 'keydown', 'focusin', 'touchstart', 'wheel'] as const;

/**
 * Resolves when somebody first uses the page: moves the pointer, touches the screen or presses a key. Parts that are
 * only needed for interaction are rendered then, so that a slow device shows the page sooner.
 */
export const firstInteraction = new Promise<void>((resolve) => {
  if (typeof window === 'undefined') return; // tests without a page
  const come = () => {
    for (const sign of signs) window.removeEventListener(sign, come, true);
    resolve();
  };
  for (const sign of signs) window.addEventListener(sign, come, { capture: true, passive: true });
});

// Presses that parts of the page, coming later, must not swallow.
/** Whoever moves further has dragged something. Pixels. */
const stillAPress = 8;
const pressable = 'button, a[href], [role="tab"], [role="menuitem"], [role="option"]';

let isDown = false;
let pressed: { element: Element; says: string; x: number; y: number } | null = null;
let waiting: (() => void)[] = [];

/** The click comes after the pointer is up: what waits for it goes on after that. */
function release() {
  isDown = false;
  pressed = null;
  setTimeout(() => {
    if (isDown) return;
    const all = waiting;
    waiting = [];
    for (const go of all) go();
  });
}

const saying = (element: Element) => element.getAttribute('aria-label') ?? element.textContent;

function press({ target, clientX: x, clientY: y }: PointerEvent) {
  isDown = true;
  const element = target instanceof Element ? target.closest(pressable) : null;
  pressed = element === null ? null : { element, says: saying(element), x, y };
}

/** What was pressed is gone, and something that says the same is in its place: that is meant. */
function lift({ target, clientX: x, clientY: y }: PointerEvent) {
  const was = pressed;
  release();
  if (was === null || was.element.isConnected) return;
  if (Math.hypot(x - was.x, y - was.y) > stillAPress) return;
  const now = target instanceof Element ? target.closest(pressable) : null;
  if (now instanceof HTMLElement && saying(now) === was.says) setTimeout(() => now.isConnected && now.click());
}

if (typeof window !== 'undefined') {
  addEventListener('pointerdown', press, true);
  addEventListener('pointerup', lift, true);
  for (const kind of ['pointercancel', 'blur']) addEventListener(kind, release, true);
}

/**
 * Resolves when nothing is being pressed. A button that is put into another one's place between pressing and releasing
 * is not clicked by the browser; where that happens all the same, it is clicked here.
 */
export const betweenPresses = (): Promise<void> => (isDown ? new Promise((go) => waiting.push(go)) : Promise.resolve());

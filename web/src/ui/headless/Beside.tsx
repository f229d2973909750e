import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import type { BesideProps } from '../slips/Beside';
import { isRightToLeft } from '../direction';

/** On a phone the panel is at the foot of the screen. */
const narrow = 640;
/** As wide as the panel is, in pixels. */
const width = 322;

/**
 * Where the panel goes: below the page's header, on the side where a line ends, or on the other side if it would cover
 * what it is about.
 */
function placeFor(at: DOMRect): { className: string; top: number } {
  const main = (document.querySelector('main') ?? document.getElementById('content'))?.getBoundingClientRect();
  const top = Math.max(0, Math.min(main?.top ?? 0, window.innerHeight / 3));
  const covered = isRightToLeft() ? at.left < width : at.right > window.innerWidth - width;
  return { className: covered ? 'inset-s-0 border-e-2' : 'inset-e-0 border-s-2', top };
}

/** Says when it has been opened and is so no more. */
function Closed({ open, onClose }: { open: boolean; onClose: () => void }) {
  const was = useRef(false);
  useEffect(() => {
    if (was.current && !open) onClose();
    was.current = open;
  }, [open, onClose]);
  return null;
}

/** A list that opens from the slip is drawn elsewhere: looking into it does not leave the slip. */
function WithLists({ children }: { children: ReactNode }) {
  return (
    <div
      role="presentation"
      onBlur={(event) => {
        const to = event.relatedTarget;
        if (to instanceof Element && to.closest('[role="listbox"], [role="menu"]') !== null) event.stopPropagation();
      }}
    >
      {children}
    </div>
  );
}

export function Beside({ at, title, onClose, onLeave, children }: BesideProps) {
  const heading = useId();
  const place = useRef<HTMLButtonElement>(null);
  const before = useRef(document.activeElement);
  const escaped = useRef(false);
  const atFoot = window.innerWidth < narrow;
  const [side] = useState(() => placeFor(at));
  useEffect(() => {
    const focused = before.current;
    const button = place.current;
    if (button?.getAttribute('aria-expanded') !== 'true') button?.click();
    return () => {
      // Where a press elsewhere has taken the focus already, there it stays.
      const now = document.activeElement;
      if (focused instanceof HTMLElement && (now === null || now === document.body || now === button)) focused.focus();
    };
  }, []);
  return (
    <Popover>
      {({ open }) => (
        <>
          <Closed open={open} onClose={() => (escaped.current ? onClose() : (onLeave ?? onClose)())} />
          <PopoverButton
            ref={place}
            tabIndex={-1}
            aria-hidden
            className="pointer-events-none fixed opacity-0"
            style={{ left: at.left, top: at.top, width: at.width, height: at.height }}
          />
          <PopoverPanel
            focus
            portal
            {...(atFoot ? {} : { style: { top: side.top, width } })}
            role="dialog"
            aria-labelledby={heading}
            onKeyDownCapture={(event) => {
              escaped.current = event.key === 'Escape';
            }}
            className={`fixed z-40 overflow-y-auto border-ink bg-sheet p-4 ${
              atFoot ? 'inset-x-0 bottom-0 max-h-[80vh] border-t-2' : `bottom-0 ${side.className}`
            }`}
          >
            <h2 id={heading} className="mb-3 text-xl font-semibold wrap-anywhere">
              {title}
            </h2>
            <WithLists>{children}</WithLists>
          </PopoverPanel>
        </>
      )}
    </Popover>
  );
}

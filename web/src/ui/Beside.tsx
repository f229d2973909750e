import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEffect, useId, useRef, type ReactNode } from 'react';

const edge = 8;
/** On a phone there is no beside. */
const narrow = 640;

/** Says when it has been opened and is so no more. */
function Closed({ open, onClose }: { open: boolean; onClose: () => void }) {
  const was = useRef(false);
  useEffect(() => {
    if (was.current && !open) onClose();
    was.current = open;
  }, [open, onClose]);
  return null;
}

interface SlipProps {
  at: DOMRect;
  title: string;
  onClose: () => void;
  /** Left for something else, by a press or by the focus: what was typed is kept. Without it, leaving closes. Escape only closes. */
  onLeave?: () => void;
  children: ReactNode;
}

/**
 * A slip of paper beside the thing it is about, where there is most room; on a small screen at its foot. What it is about
 * may be a tag that is dragged, or drawn anew: the slip hangs on a place of the same size, and gives the focus back.
 */
export function Beside(slip: SlipProps) {
  return <Slip key={slip.title} {...slip} />; // a press on the next thing closes one slip and opens another
}

function Slip({ at, title, onClose, onLeave, children }: SlipProps) {
  const heading = useId();
  const place = useRef<HTMLButtonElement>(null);
  const before = useRef(document.activeElement);
  const escaped = useRef(false);
  const atFoot = window.innerWidth < narrow;
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
            {...(atFoot ? {} : { anchor: { to: 'bottom start', gap: 6, padding: edge } })}
            role="dialog"
            aria-labelledby={heading}
            onKeyDownCapture={(event) => {
              escaped.current = event.key === 'Escape';
            }}
            className={`z-40 overflow-y-auto border-2 border-ink bg-sheet p-3 shadow-[4px_4px_0_var(--ink)] ${
              atFoot ? 'fixed inset-x-0 bottom-0 max-h-[80vh]' : 'w-[300px]'
            }`}
          >
            <h2 id={heading} className="mb-2 font-semibold wrap-anywhere">
              {title}
            </h2>
            {/* A list that opens from the slip is drawn elsewhere on the page: looking into it does not leave the slip. */}
            <div
              role="presentation"
              onBlur={(event) => {
                const to = event.relatedTarget;
                if (to instanceof Element && to.closest('[role="listbox"], [role="menu"]') !== null)
                  event.stopPropagation();
              }}
            >
              {children}
            </div>
          </PopoverPanel>
        </>
      )}
    </Popover>
  );
}

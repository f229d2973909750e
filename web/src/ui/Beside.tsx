import { autoUpdate, flip, offset, shift, size, useFloating } from '@floating-ui/react';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useLayoutEffect, useState, type ReactNode } from 'react';

const edge = 8;
const width = 300;
/** On a phone there is no beside. */
const narrow = 640;

/** A slip of paper beside the thing it is about, where there is most room; on a small screen at its foot. */
export function Beside({
  at,
  title,
  onClose,
  children,
}: {
  at: DOMRect;
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const [slip, setSlip] = useState<HTMLElement | null>(null);
  const { refs, floatingStyles } = useFloating({
    placement: 'bottom-start',
    strategy: 'fixed',
    whileElementsMounted: autoUpdate, // it grows when its reasons have come
    elements: { floating: slip },
    middleware: [
      offset(6),
      flip({ padding: edge, crossAxis: false, fallbackPlacements: ['right-start', 'left-start', 'top-start'] }),
      shift({ padding: edge }),
      size({
        padding: edge,
        apply: ({ elements }) => {
          elements.floating.style.maxHeight = `${window.innerHeight - 2 * edge}px`;
        },
      }),
    ],
  });
  useLayoutEffect(() => {
    refs.setPositionReference({ getBoundingClientRect: () => at });
  }, [refs, at]);
  const atFoot = window.innerWidth < narrow;
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-black/10" aria-hidden="true" />
      <DialogPanel
        ref={setSlip}
        style={atFoot ? { left: 0, right: 0, bottom: 0, maxHeight: '80vh' } : { ...floatingStyles, width }}
        className="fixed overflow-y-auto border-2 border-ink bg-sheet p-3 shadow-[4px_4px_0_var(--ink)]"
      >
        <DialogTitle className="mb-2 font-semibold wrap-anywhere">{title}</DialogTitle>
        {children}
      </DialogPanel>
    </Dialog>
  );
}

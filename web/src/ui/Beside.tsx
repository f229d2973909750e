import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

const width = 300;
const room = 420;

/** A slip of paper beside the thing it is about; on a small screen at its foot. */
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
  const left = Math.max(8, Math.min(at.left, window.innerWidth - width - 8));
  const top = Math.max(8, Math.min(at.bottom + 6, window.innerHeight - room));
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <div className="fixed inset-0 bg-black/10" aria-hidden="true" />
      <DialogPanel
        style={{ left, top, width, maxHeight: `calc(100vh - ${top + 8}px)` }}
        className="fixed overflow-y-auto border-2 border-ink bg-sheet p-3 shadow-[4px_4px_0_var(--ink)]"
      >
        <DialogTitle className="mb-2 font-semibold wrap-anywhere">{title}</DialogTitle>
        {children}
      </DialogPanel>
    </Dialog>
  );
}

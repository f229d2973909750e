import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import * as m from '#messages';
import { Button } from './Button';

/** A sheet of paper laid over the page. Escape and a press beside it put it away. */
export function Sheet({
  open,
  onClose,
  title,
  wide = false,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  /** `page`: as wide as the page, for things side by side. */
  wide?: boolean | 'page';
  children: ReactNode;
}) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/40" />
      <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[8vh]">
        <DialogPanel
          className={`w-full border-2 border-ink bg-sheet p-6 ${wide === 'page' ? 'max-w-[78rem]' : wide ? 'max-w-3xl' : 'max-w-md'}`}
        >
          <div className="flex items-start justify-between gap-4">
            <DialogTitle className="text-xl font-semibold">{title}</DialogTitle>
            <Button look="quiet" onClick={onClose}>
              {m.common_close()}
            </Button>
          </div>
          <div className="mt-4">{children}</div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

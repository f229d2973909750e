// A sheet over the page.
import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import * as m from '#messages';
import { Button } from '../Button';
import type { SheetProps } from '../slips/Sheet';

export function Sheet({ open, onClose, title, wide = false, children }: SheetProps) {
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

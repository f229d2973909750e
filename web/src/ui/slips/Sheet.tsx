// A sheet of paper laid over the page.
import type { ReactNode } from 'react';
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';

export interface SheetProps {
  open: boolean;
  onClose: () => void;
  title: string;
  /** `page`: as wide as the page, for things side by side. */
  wide?: boolean | 'page';
  children: ReactNode;
}

/** A sheet of paper laid over the page. Escape and a press beside it put it away. */
export function Sheet(props: SheetProps) {
  const parts = useLater(headless, props.open);
  return parts === null ? null : <parts.Sheet {...props} />;
}

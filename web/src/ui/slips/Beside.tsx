// A panel beside what it is about.
import type { ReactNode } from 'react';
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';

export interface BesideProps {
  at: DOMRect;
  title: string;
  onClose: () => void;
  /**
   * Left for something else, by a press or by the focus: what was typed is kept. Without it, leaving closes. Escape
   * only closes.
   */
  onLeave?: () => void;
  children: ReactNode;
}

/**
 * A panel at the side of the screen for one person, group or column; on a small screen at the bottom. What it is about
 * may be dragged or rendered again, so the panel is attached to a button of the same size and place, and returns the
 * focus.
 */
export function Beside(props: BesideProps) {
  const parts = useLater(headless, true);
  // A press on the next thing closes one panel and opens another.
  return parts === null ? null : <parts.Beside key={props.title} {...props} />;
}

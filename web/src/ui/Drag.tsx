import type { DraggableSyntheticListeners, UniqueIdentifier } from '@dnd-kit/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { drag } from './dragLater';
import type { DragWords } from './dragWords';
import { useLater } from './later';

type Ref = (node: HTMLElement | null) => void;

/** What a button has to hear so that it can be dragged. */
export type DragListeners = DraggableSyntheticListeners;

export interface DragAreaProps {
  /** What is said to those who cannot see it. */
  words: DragWords;
  /** Nothing can be dragged. */
  off?: boolean;
  /** What may lie under the pointer at the same time: the one whose id begins so wins. */
  first?: string;
  onStart?: (id: string) => void;
  onOver?: (over: string | null) => void;
  onEnd: (id: string, over: string | null) => void;
  onCancel?: () => void;
  children: ReactNode;
}

export interface DraggableProps {
  id: UniqueIdentifier;
  children: (drag: { ref: Ref; listeners: DragListeners; dragging: boolean }) => ReactNode;
}

export interface DroppableProps {
  id: UniqueIdentifier;
  children: (drop: { ref: Ref; over: boolean }) => ReactNode;
}

export interface SortableProps {
  id: UniqueIdentifier;
  /** `x`: by so many pixels it is drawn aside. */
  children: (sort: { ref: Ref; listeners: DragListeners; dragging: boolean; x: number | null }) => ReactNode;
}

const nowhere: Ref = () => undefined;

/** Within it things can be dragged. When that becomes possible everything inside is made anew; the focus stays where it was. */
export function DragArea(props: DragAreaProps) {
  const parts = useLater(drag);
  const inside = useRef<string | null>(null);
  useEffect(() => {
    if (parts === null || inside.current === null || document.activeElement !== document.body) return;
    document.querySelector<HTMLElement>(`[data-stop="${inside.current}"]`)?.focus({ preventScroll: true });
  }, [parts]);
  if (parts !== null) return <parts.DragArea {...props} />;
  return (
    // Listens only to where the focus is; what can be pressed is inside.
    // eslint-disable-next-line jsx-a11y/no-static-element-interactions
    <div
      className="contents"
      onFocus={(event) => {
        inside.current = event.target.closest('[data-stop]')?.getAttribute('data-stop') ?? null;
      }}
      onBlur={() => {
        inside.current = null;
      }}
    >
      {props.children}
    </div>
  );
}

export function Draggable(props: DraggableProps) {
  const parts = useLater(drag);
  if (parts !== null) return <parts.Draggable {...props} />;
  return props.children({ ref: nowhere, listeners: undefined, dragging: false });
}

export function Droppable(props: DroppableProps) {
  const parts = useLater(drag);
  if (parts !== null) return <parts.Droppable {...props} />;
  return props.children({ ref: nowhere, over: false });
}

/** Things in a row that can be put in another order. */
export function SortableRow(props: { ids: string[]; children: ReactNode }) {
  const parts = useLater(drag);
  return parts === null ? props.children : <parts.SortableRow {...props} />;
}

export function Sortable(props: SortableProps) {
  const parts = useLater(drag);
  if (parts !== null) return <parts.Sortable {...props} />;
  return props.children({ ref: nowhere, listeners: undefined, dragging: false, x: null });
}

/** What is drawn under the pointer while something is dragged. */
export function Dragged(props: { children: ReactNode }) {
  const parts = useLater(drag);
  return parts === null ? null : <parts.Dragged {...props} />;
}

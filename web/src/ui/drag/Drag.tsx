// Things that can be dragged, by mouse, finger and keyboard; the code comes later.
import type { DraggableSyntheticListeners, UniqueIdentifier } from '@dnd-kit/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { drag } from './dragLater';
import type { DragWords } from './dragWords';
import { useLater } from '../later/later';

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

const focusable = 'a[href], button, input, select, textarea, [tabindex]';

/**
 * Makes its contents draggable once drag and drop is loaded. The contents are mounted again then; the focus is
 * restored.
 */
export function DragArea(props: DragAreaProps) {
  const parts = useLater(drag);
  const area = useRef<HTMLDivElement>(null);
  /** The index of the focused element among all focusable ones; -1: none. */
  const at = useRef(-1);
  const all = () => [...(area.current?.querySelectorAll<HTMLElement>(focusable) ?? [])];
  useEffect(() => {
    if (parts !== null && document.activeElement === document.body) all()[at.current]?.focus({ preventScroll: true });
  }, [parts]);
  return (
    // Listens only to where the focus is; what can be pressed is inside.
    // eslint-disable-next-line jsx-a11y/no-static-element-interactions
    <div
      ref={area}
      className="contents"
      onFocus={(event) => {
        at.current = parts === null ? all().indexOf(event.target) : -1;
      }}
      onBlur={() => {
        at.current = -1;
      }}
    >
      {parts === null ? props.children : <parts.DragArea {...props} />}
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

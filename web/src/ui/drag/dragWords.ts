// What a screen reader hears while something is dragged.
import * as m from '#messages';
import type { Announcements, UniqueIdentifier } from '@dnd-kit/core';

export type DragWords = Announcements;

/** What a screen reader hears while something is dragged: what people are called, never what they are kept under. */
export function dragWords(nameOf: (id: UniqueIdentifier) => string): DragWords {
  const dragged = (id: UniqueIdentifier) => ({ what: nameOf(id) });
  return {
    onDragStart: ({ active }) => m.drag_lifted(dragged(active.id)),
    onDragOver: ({ active, over }) =>
      over === null ? m.drag_nowhere() : m.drag_over({ ...dragged(active.id), place: nameOf(over.id) }),
    onDragEnd: ({ active, over }) =>
      over === null
        ? m.drag_back(dragged(active.id))
        : m.drag_dropped({ ...dragged(active.id), place: nameOf(over.id) }),
    onDragCancel: ({ active }) => m.drag_back(dragged(active.id)),
  };
}

import type { Announcements, UniqueIdentifier } from '@dnd-kit/core';

/** What a screen reader hears while something is dragged: what people are called, never what they are kept under. */
export function dragWords(
  nameOf: (id: UniqueIdentifier) => string,
  words: {
    lifted: (what: string) => string;
    over: (what: string, place: string) => string;
    nowhere: string;
    dropped: (what: string, place: string) => string;
    back: (what: string) => string;
  },
): Announcements {
  return {
    onDragStart: ({ active }) => words.lifted(nameOf(active.id)),
    onDragOver: ({ active, over }) => (over === null ? words.nowhere : words.over(nameOf(active.id), nameOf(over.id))),
    onDragEnd: ({ active, over }) =>
      over === null ? words.back(nameOf(active.id)) : words.dropped(nameOf(active.id), nameOf(over.id)),
    onDragCancel: ({ active }) => words.back(nameOf(active.id)),
  };
}

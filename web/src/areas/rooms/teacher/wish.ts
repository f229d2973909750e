// Which room of our own the teacher wants to be in. Small enough for every page; what carries sound is loaded when it
// is first wanted.
import { useSyncExternalStore } from 'react';
import type { Schema } from '../../../api/client';
import { sourceOf } from '../sources';

export interface RoomWish {
  /** `main`, or the id of a group or a side room; null: none. */
  place: string | null;
  /** With a microphone; without: she listens. */
  speaks: boolean;
}

const none: RoomWish = { place: null, speaks: false };

let wish = none;
const listeners = new Set<() => void>();

export function wantRoom(next: RoomWish | null): void {
  wish = next ?? none;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useRoomWish = (): RoomWish =>
  useSyncExternalStore(
    subscribe,
    () => wish,
    () => none,
  );

/**
 * Whether a group (null: the class) meets in our own pages, also before anybody has been there.
 */
export function meetsHere(lesson: Schema['LessonView'], group: string | null): boolean {
  const room = lesson.rooms.find((one) => one.purpose !== 'side' && one.groupId === group);
  return sourceOf(room?.source ?? lesson.roomSource).isHere;
}

// Which room of our own the teacher wants to be in. Small enough for every page; what carries sound is loaded when it
// is first wanted.
import { useSyncExternalStore } from 'react';
import type { Schema } from '../../../api/client';
import { sourceOf } from '../sources';

export interface TeacherRoom {
  /** `main`, or the id of a group or a side room; null: none. */
  place: string | null;
  /** With a microphone; without: she listens. */
  speaks: boolean;
}

const none: TeacherRoom = { place: null, speaks: false };

let current = none;
const listeners = new Set<() => void>();

export function setTeacherRoom(next: TeacherRoom | null): void {
  current = next ?? none;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useTeacherRoom = (): TeacherRoom =>
  useSyncExternalStore(
    subscribe,
    () => current,
    () => none,
  );

/**
 * Whether a group (null: the class) meets in our own pages, also before anybody has been there.
 */
export function meetsHere(lesson: Schema['LessonView'], group: string | null): boolean {
  // Simulated students cannot be heard: there is nothing to go into.
  if (lesson.practice) return false;
  const room = lesson.rooms.find((one) => one.purpose !== 'side' && one.groupId === group);
  return sourceOf(room?.source ?? lesson.roomSource).isHere;
}

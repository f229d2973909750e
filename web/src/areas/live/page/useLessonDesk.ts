// What the lesson's page knows and what its presses do.
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import { roomWindow } from '../../../ui/roomWindow';
import type { Group } from '../../grouping/floor/Table';
import { useFloor } from '../../grouping/floor/useFloor';
import { useNewOriginal } from '../../materials/edit/useNewOriginal';
import { isThere } from '../../rooms/useRooms';
import { useDoor } from '../../roster/door/useDoor';
import { useMarkAbsent } from '../../roster/useMarkAbsent';
import { command, useCommand } from '../useCommand';
import { useShownView } from './useShownView';
import { sourceOf } from '../../rooms/sources';
import { meetsHere, setTeacherRoom } from '../../rooms/teacher/teacherRoom';
import { useStanding } from './useStanding';

/** What lies over the page. */
export type LessonSheet =
  | { kind: 'keys' | 'log' | 'fillRounds' }
  | { kind: 'split' | 'merge'; group: Group }
  /** As one student sees it; null: as anybody does. */
  | { kind: 'asStudent'; student: string | null };

/** Where the teacher goes into the room of a group, or (null) into the main session; null where there is none. */
function wayInto(lesson: Schema['LessonView'], group: string | null): string | null {
  const room = lesson.rooms.find(
    (one) => one.purpose !== 'side' && one.groupId === group && isThere(one) && sourceOf(one.source).hasLink,
  );
  return room === undefined ? null : `/api/staff/rooms/${room.id}/way`;
}

/** The room opens with the press itself: a window that opens later is held back by the browser. */
function openRoom(way: string | null) {
  if (way !== null) window.open(way, roomWindow);
}

export function useLessonDesk(lesson: Schema['LessonView']) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  const control = useFloor(['lesson', lesson.id], lesson.floor);
  const markAbsent = useMarkAbsent(refresh, fail);
  const door = useDoor(lesson.classId, refresh);
  const give = useCommand(lesson.id);
  const standing = useStanding(lesson);
  const shown = useShownView(lesson);
  const write = useNewOriginal(lesson, () => shown.setView('original'));
  const [sheet, setSheet] = useState<LessonSheet | null>(null);
  const [pasting, setPasting] = useState(false);
  const wayTo = (group: string | null) => wayInto(lesson, group);
  const hereAt = (group: string | null) => meetsHere(lesson, group);
  const enterRoom = (group: string | null) => {
    if (hereAt(group)) setTeacherRoom({ place: group ?? 'main', speaks: true });
    else openRoom(wayTo(group));
  };
  return {
    ...standing,
    ...shown,
    lesson,
    refresh,
    control,
    door,
    /** A command of the lesson is under way. */
    busy: give.isPending,
    give: (...words: Parameters<typeof command>) => give.mutate(command(...words)),
    setAbsent: (student: Pick<Schema['SeatedStudent'], 'id'>, absent: boolean) =>
      markAbsent.mutate({ id: student.id, absent }),
    sheet,
    setSheet,
    /** Links are pasted on the view of rooms. */
    pasting,
    setPasting,
    wayTo,
    hereAt,
    enterRoom,
    visit: (group: string) => {
      enterRoom(group);
      give.mutate(command('visit', { group }));
      shown.showWork(group);
    },
    leaveVisit: () => {
      // The room makes way for the main session, in the meeting service, too.
      if (hereAt(null)) setTeacherRoom(null);
      else openRoom(wayTo(null));
      give.mutate(command('leave'));
      shown.setView('floor');
    },
    openRooms: (paste: boolean) => {
      shown.setView('rooms');
      setPasting(paste);
    },
    openOriginal: () => (lesson.handOut.length === 0 ? write.mutate() : shown.setView('original')),
  };
}

export type LessonDesk = ReturnType<typeof useLessonDesk>;

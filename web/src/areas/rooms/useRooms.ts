// Rooms of a lesson: made, changed, taken away.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import * as m from '#messages';
import { sourceOf } from './sources';

type Lesson = Schema['LessonView'];
export type Room = Schema['RoomView'];

/** What students can be allowed to do in a room beside talking. */
const permissions = ['mayShareScreen', 'mayWrite', 'mayRecord'] as const;
/** In our own pages nobody but the teacher records, and what is written is written on the sheet. */
export const permissionsIn = (source: Room['source']) =>
  sourceOf(source).isHere ? (['mayShareScreen'] as const) : permissions;

/** What a room allows or forbids of its own, in words. */
export const differences = (room: Room) =>
  permissionsIn(room.source).flatMap((one) =>
    room[one] === null ? [] : [m.rooms_differs({ key: one, may: String(room[one]) })],
  );

/** Where the rooms of a class come from. */
export function useRoomSource(classId: string) {
  const queries = useQueryClient();
  const params = { path: { id: classId } };
  const key = ['roomSource', classId];
  const source = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/staff/classes/{id}/room-source', { params })),
  });
  const save = useMutation({
    mutationFn: (body: Schema['SaveRoomSource']) =>
      take(api.PUT('/api/staff/classes/{id}/room-source', { params, body })),
    onSuccess: (saved) => queries.setQueryData(key, saved),
    onSettled: () => queries.invalidateQueries({ queryKey: ['lesson'] }),
  });
  return { source: source.data, save };
}

/** What can be done with the rooms of a lesson. */
export function useRooms(lesson: Lesson) {
  const queries = useQueryClient();
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  const make = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/rooms', { params: { path: { id: lesson.round.id } } })),
    onSettled: refresh,
  });
  const edit = useMutation({
    mutationFn: ({ id, ...body }: Schema['EditRoom'] & { id: string }) =>
      take(api.PATCH('/api/staff/rooms/{id}', { params: { path: { id } }, body })),
    onSettled: refresh,
  });
  const tried = useMutation({
    mutationFn: ({ id, was }: { id: string; was: boolean }) =>
      take(api.POST('/api/staff/rooms/{id}/tried', { params: { path: { id } }, body: { was } })),
    onSettled: refresh,
  });
  const retry = useMutation({
    mutationFn: (id: string) => take(api.POST('/api/staff/rooms/{id}/retry', { params: { path: { id } } })),
    onSettled: refresh,
  });
  const takeAway = useMutation({
    mutationFn: ({ id, sure }: { id: string; sure: boolean }) =>
      take(api.POST('/api/staff/rooms/{id}/take-away', { params: { path: { id } }, body: { sure } })),
    onSettled: refresh,
  });
  const addSide = useMutation({
    mutationFn: (name: string) =>
      take(
        api.POST('/api/staff/classes/{id}/side-rooms', { params: { path: { id: lesson.classId } }, body: { name } }),
      ),
    onSettled: refresh,
  });
  return { classId: lesson.classId, make, edit, tried, retry, takeAway, addSide, refresh };
}

/** A room somebody can go into. */
export const isThere = (room: Room) => room.state !== 'planned' && room.state !== 'failed';

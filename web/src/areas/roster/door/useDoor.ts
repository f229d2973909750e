import { useMutation } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';

/** What the teacher does at the door of a class: one press each. */
export function useDoor(classId: string, onDone: () => unknown) {
  const { say, fail } = useMessages();
  const settle = { onSettled: onDone, onError: fail };
  const path = { params: { path: { id: classId } } };
  const student = (id: string) => ({ params: { path: { id } } });
  const guest = (id: string) => ({ params: { path: { id: classId, guest: id } } });
  const names = useMutation({
    mutationFn: (body: Schema['SetDoor']) => take(api.PATCH('/api/staff/classes/{id}/door', { ...path, body })),
    ...settle,
  });
  const renew = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/door-word', path)),
    onSuccess: (fresh) => say(m.door_renewed({ word: fresh.doorWord })),
    ...settle,
  });
  const freeAll = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/free', path)),
    onSuccess: () => say(m.door_allFreed()),
    ...settle,
  });
  const free = useMutation({
    mutationFn: (who: { id: string; name: string }) => take(api.POST('/api/staff/students/{id}/free', student(who.id))),
    onSuccess: (_, who) => say(m.roster_freed({ name: who.name })),
    ...settle,
  });
  const correct = useMutation({
    mutationFn: (claim: { id: string; really: string }) =>
      take(api.POST('/api/staff/students/{id}/is', { ...student(claim.id), body: { student: claim.really } })),
    ...settle,
  });
  const letIn = useMutation({
    mutationFn: (who: { guest: string; student: string }) =>
      take(
        api.POST('/api/staff/classes/{id}/doorway/{guest}', { ...guest(who.guest), body: { student: who.student } }),
      ),
    ...settle,
  });
  const notNow = useMutation({
    mutationFn: (id: string) => take(api.DELETE('/api/staff/classes/{id}/doorway/{guest}', guest(id))),
    ...settle,
  });
  const letAllIn = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/doorway', path)),
    ...settle,
  });
  const asGuest = useMutation({
    mutationFn: (id: string) => take(api.POST('/api/staff/classes/{id}/doorway/{guest}/guest', guest(id))),
    ...settle,
  });
  const shutOut = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/classes/{id}/doorway/strangers', path)),
    ...settle,
  });
  const letWait = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/doorway/strangers', path)),
    ...settle,
  });
  return { shutOut, letWait, letAllIn, asGuest, names, renew, freeAll, free, correct, letIn, notNow };
}

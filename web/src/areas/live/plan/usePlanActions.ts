// The one thing to do next for a round, and what a press on it does.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, take, type Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { list as listed } from '../../../words/list';
import { useRepair } from '../../grouping/Repair';
import { nameOf } from '../../lesson/OrderStrip';
import { useSetUp } from '../../ready/useSetUp';
import type { LessonDesk } from '../page/useLessonDesk';
import { nextStep, setUp, type NextKind, type NextStep } from './nextStep';

type Lesson = Schema['LessonView'];

/** What the server does for a round: rooms, copies, and whether it needs a worksheet. */
function useRoundMutations(lesson: Lesson) {
  const queries = useQueryClient();
  const { fail, say } = useMessages();
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  const path = { params: { path: { id: lesson.round.id } } };
  const rooms = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/rooms', path)),
    onSettled: refresh,
    onError: fail,
  });
  const copies = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/copies', path)),
    onSuccess: (made) => {
      say(
        made.kept.length > 0
          ? m.next_copiesKept({ names: listed(made.kept) })
          : m.next_copiesMade({ n: made.made + made.brought }),
      );
      void queries.invalidateQueries({ queryKey: ['copies', lesson.round.id] });
    },
    onSettled: refresh,
    onError: fail,
  });
  const talkOnly = useMutation({
    mutationFn: (isTalk: boolean) =>
      take(api.PATCH('/api/staff/lessons/{id}', { params: { path: { id: lesson.id } }, body: { talkOnly: isTalk } })),
    onSettled: refresh,
    onError: fail,
  });
  return { rooms, copies, talkOnly };
}

/**
 * What comes after a round that is over, or that others come before: between rounds the round that comes next is set
 * up; where something else comes first, that is the next thing to do.
 *
 * @param again everybody is back from the round that is shown
 */
function nextOf(lesson: Lesson, again: boolean) {
  const { order } = lesson;
  const comes = order.segments.find((segment) => segment.id === order.next);
  const isNow = lesson.round.id === lesson.roundNow.id;
  const goesOn = again || (isNow && order.now !== null && comes?.id !== lesson.round.segmentId);
  if (!goesOn) return { comes, goesOn, next: nextStep(lesson) };
  const next: NextStep =
    comes === undefined
      ? { kind: 'end', label: m.next_end(), subject: null }
      : {
          kind: comes.round === null ? 'begin' : 'nextRound',
          label: m.order_next({ name: nameOf(comes), n: comes.minutes }),
          subject: null,
        };
  return { comes, goesOn, next };
}

/** Puts the focus on the running order. */
const focusOrder = () => document.querySelector<HTMLElement>(`[aria-label="${m.ribbon_label()}"] button`)?.focus();

export function usePlanActions(desk: LessonDesk, again: boolean) {
  const { lesson, control } = desk;
  const navigate = useNavigate();
  const { rooms, copies, talkOnly } = useRoundMutations(lesson);
  const { carryOut } = useSetUp(lesson);
  const repair = useRepair(lesson.floor.id, (round) => control.take('repair', [round]));
  const [sheet, setSheet] = useState<'list' | 'sending' | null>(null);
  const { comes, goesOn, next } = nextOf(lesson, again);
  const state = setUp(lesson);
  const list = lesson.setUpList;
  const inFours = Math.max(1, Math.round(state.present / 4));
  const send = () => desk.give('sendOut', { segment: lesson.round.segmentId });
  const goOn = () => {
    if (comes === undefined) return;
    desk.give(comes.round === null ? 'begin' : 'sendOut', { segment: comes.id });
  };
  const run: Record<NextKind, (subject: string | null) => void> = {
    roster: () => void navigate(`/classes/${lesson.classId}`),
    deal: () => control.deal({ groups: inFours, mix: lesson.mixBy }),
    dealAtRandom: () => control.deal({ groups: inFours }),
    repair: () => repair.ask(),
    desk: () => void navigate(`/groupings/${lesson.floor.id}`),
    // What only asks, and does nothing by itself, is looked at.
    setUp: () => (list?.press == null ? setSheet('list') : carryOut.mutate({ digest: list.digest })),
    sending: () => setSheet('sending'),
    makeRooms: () => rooms.mutate(),
    sayWhere: () => desk.openRooms(true),
    wait: () => undefined,
    rooms: () => desk.openRooms(false),
    writeOriginal: desk.openOriginal,
    makeCopies: () => copies.mutate(),
    bringChanges: () => copies.mutate(),
    materials: () => desk.setView('original'),
    talkOnly: () => talkOnly.mutate(true),
    order: focusOrder,
    slips: () => void navigate(`/rounds/${lesson.round.id}/slips`),
    send,
    begin: goOn,
    nextRound: goOn,
    end: () => desk.give('end'),
  };
  const pending = [repair.busy, carryOut.isPending, rooms.isPending, copies.isPending, desk.busy, control.busy];
  return {
    next,
    /** The round that is shown is not the next thing to do. */
    goesOn,
    run,
    send,
    state,
    repair,
    sheet,
    setSheet,
    busy: pending.includes(true) || next.kind === 'wait',
    copies,
    useWorksheet: () => talkOnly.mutate(false),
  };
}

export type PlanActions = ReturnType<typeof usePlanActions>;

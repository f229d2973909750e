// What is in place for a round and what is not: groups, rooms, work, and what is sent to students.
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../../api/client';
import { groupingsQuery } from '../../../api/lists';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { part } from '../../../ui/later/lazily';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { list as listed } from '../../../words/list';
import { useOrder } from '../../lesson/useOrder';
import { useSendingLine } from '../../ready/useSendingLine';
import type { LessonDesk } from '../page/useLessonDesk';
import { setUp } from './nextStep';
import { sourceOf } from '../../rooms/sources';
import type { PlanActions } from './usePlanActions';

const BringChanges = part(
  () => import('../../materials/plan/BringChanges'),
  (file) => file.BringChanges,
);

type Lesson = Schema['LessonView'];

/** A line without a box is about something that need not be. */
function Line({ done, title, children }: { done?: boolean | undefined; title: string; children: ReactNode }) {
  return (
    <li className="grid grid-cols-[1.5rem_minmax(0,1fr)] border-b border-line py-2 last:border-0">
      {done === undefined ? (
        <span aria-hidden="true" className="mt-2.5 w-4 border-t-2 border-line" />
      ) : (
        <span aria-hidden="true" className={`mt-0.5 size-4 border-2 border-ink ${done ? 'bg-ink' : ''}`} />
      )}
      <div>
        <span className="font-semibold">{title}</span> <span className="text-sm text-soft">{children}</span>
      </div>
    </li>
  );
}

/** Which grouping the round uses, and the way to its desk. */
function GroupingChoice({ lesson }: { lesson: Lesson }) {
  const { fail } = useMessages();
  const groupings = useQuery(groupingsQuery(lesson.classId)).data;
  const control = useOrder(lesson.id, lesson.order);
  return (
    <span className="mt-1 flex flex-wrap items-center gap-2">
      {groupings !== undefined && groupings.length > 1 && (
        <Choice
          hidden
          label={m.next_grouping()}
          className="w-full min-w-0"
          value={lesson.floor.id}
          options={groupings.map((grouping) => ({ value: grouping.id, label: grouping.name }))}
          onChange={(groupingId) => void control.edit(lesson.round.segmentId, { groupingId }).catch(fail)}
        />
      )}
      <Link to={`/groupings/${lesson.floor.id}`} className="inline-block min-h-6 text-ink underline underline-offset-4">
        {m.next_toDesk()}
      </Link>
    </span>
  );
}

function roomsText(lesson: Lesson): string {
  const state = setUp(lesson);
  if (sourceOf(lesson.roomSource).isHere) return m.next_roomsHere();
  if (state.roomsFailed > 0) return m.next_roomsFailed({ n: state.roomsFailed });
  if (!sourceOf(lesson.roomSource).hasLink && state.roomsMade < state.rooms) return m.next_roomsClassroom();
  if (sourceOf(lesson.roomSource).isPasted && state.withoutRoom > 0) return m.next_roomsLinks({ n: state.withoutRoom });
  if (state.roomsPlanned === 0) return m.next_roomsNone();
  if (state.roomsWorking) return m.next_roomsMaking({ done: state.roomsMade, all: state.rooms });
  return state.roomsMade < state.rooms
    ? m.next_roomsSome({ done: state.roomsMade, all: state.rooms })
    : m.next_roomsDone({ n: state.rooms });
}

function workText(lesson: Lesson): string {
  const state = setUp(lesson);
  const [first] = lesson.handOut;
  if (first === undefined) return lesson.talkOnly ? m.next_talkOnly() : m.next_workNone();
  if (state.unfinished?.unfinished != null) return state.unfinished.unfinished;
  if (state.copies === 0) return m.next_workOriginal({ titles: listed(lesson.handOut.map((row) => row.title)) });
  if (state.copiesOld > 0) return m.next_workOld({ n: state.copiesOld });
  return state.copiesMissing > 0
    ? m.next_workSome({ done: state.copies, all: state.copies + state.copiesMissing })
    : m.next_workDone({ n: state.copies });
}

function GroupsLine({ lesson }: { lesson: Lesson }) {
  const state = setUp(lesson);
  return (
    <Line done={state.groups > 0 && state.onShelf === 0} title={m.next_groups()}>
      {state.groups === 0
        ? m.next_groupsNone()
        : state.onShelf > 0
          ? m.next_groupsShelf({ n: state.onShelf })
          : m.next_groupsDone({ n: state.seated, g: state.groups })}
      {lesson.partners !== null && <span className="mt-1 block">{lesson.partners}</span>}
      <GroupingChoice lesson={lesson} />
    </Line>
  );
}

function RoomsLine({ lesson, onOpen }: { lesson: Lesson; onOpen: () => void }) {
  const state = setUp(lesson);
  return (
    <Line
      done={state.rooms > 0 && (state.withoutRoom === 0 || !sourceOf(lesson.roomSource).hasLink)}
      title={m.next_rooms()}
    >
      {roomsText(lesson)}
      {state.roomsWorking && (
        <progress
          className="mt-1 block w-full accent-ink"
          max={state.rooms}
          value={state.roomsMade}
          aria-label={m.next_rooms()}
        />
      )}
      <Button look="quiet" className="ms-1 text-sm" onClick={onOpen}>
        {m.next_toRooms()}
      </Button>
    </Line>
  );
}

function WorkLine({ lesson, actions: { state, copies, useWorksheet } }: { lesson: Lesson; actions: PlanActions }) {
  const isTalk = lesson.talkOnly && lesson.handOut.length === 0;
  return (
    <Line done={isTalk ? undefined : state.copies > 0 && state.copiesMissing === 0} title={m.next_work()}>
      {workText(lesson)}
      {isTalk && (
        <Button look="quiet" className="ms-1 text-sm" onClick={useWorksheet}>
          {m.next_useWorksheet()}
        </Button>
      )}
      {state.copiesOld > 0 && <BringChanges lesson={lesson} />}
      {state.copiesWritten > 0 && lesson.setUp?.running !== true && (
        <span className="mt-1 block">
          {m.next_goOnLead()}
          <Button look="quiet" className="block" busy={copies.isPending} onClick={() => copies.mutate()}>
            {m.next_makeEmpty()}
          </Button>
        </span>
      )}
    </Line>
  );
}

function SendingLine({ lesson, onOpen }: { lesson: Lesson; onOpen: () => void }) {
  const sending = useSendingLine(lesson);
  return (
    <Line done={sending.isPlanned ? sending.done : undefined} title={m.setUp_sending_title()}>
      {sending.text}
      <Button look="quiet" className="ms-1 text-sm" onClick={onOpen}>
        {m.setUp_sending_choose()}
      </Button>
    </Line>
  );
}

export function PlanLines({ desk, actions }: { desk: LessonDesk; actions: PlanActions }) {
  const { lesson } = desk;
  return (
    <ul>
      <GroupsLine lesson={lesson} />
      <RoomsLine lesson={lesson} onOpen={() => desk.openRooms(false)} />
      <WorkLine lesson={lesson} actions={actions} />
      {!lesson.template && <SendingLine lesson={lesson} onOpen={() => actions.setSheet('sending')} />}
    </ul>
  );
}

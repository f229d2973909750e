// The floor of a lesson: its groups at their tables, and what can be done with them as the lesson stands.
import { useMutation } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useServerNow } from '../../../api/clock';
import { api, take, type Schema } from '../../../api/client';
import { Action } from '../../../ui/slips/Actions';
import { part } from '../../../ui/later/lazily';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { list } from '../../../words/list';
import { DealBar } from '../../grouping/DealBar';
import { Floor } from '../../grouping/floor/Floor';
import { LensContext, type useLens } from '../../grouping/lens';
import { hasArrived } from '../../grouping/floor/NameTag';
import { hereAt, type Group } from '../../grouping/floor/Table';
import { isThere } from '../../rooms/useRooms';
import { signalOf, stateOf } from '../signals';
import { TableChanges, TableSignals } from '../floor/TableSignals';
import { useListening } from '../useListening';
import { awayText, noteOf } from '../whereabouts';
import { sourceOf } from '../../rooms/sources';
import { useTeacherRoom, setTeacherRoom } from '../../rooms/teacher/teacherRoom';
import type { LessonDesk } from './useLessonDesk';

const Claim = part(
  () => import('../../roster/door/Claim'),
  (file) => file.Claim,
);
const StudentMoves = part(
  () => import('../floor/StudentMoves'),
  (file) => file.StudentMoves,
);
const UsedBy = part(
  () => import('../../grouping/UsedBy'),
  (file) => file.UsedBy,
);

type Ear = ReturnType<typeof useEars>;
/** Does something and closes what it was chosen in. */
type Closing = (what: () => void) => () => void;

const nameIn = (lesson: Schema['LessonView']) => (id: string) =>
  lesson.students.find((student) => student.id === id)?.name ?? '';

/** The ears of tables whose room can be heard. */
function useEars({ lesson, working, hereAt }: LessonDesk) {
  const listening = useListening();
  const current = useTeacherRoom();
  return (group: Group) => {
    if (working && hereAt(group.id)) {
      const on = current.place === group.id && !current.speaks;
      return { on, press: () => setTeacherRoom(on ? null : { place: group.id, speaks: false }) };
    }
    const room = working
      ? lesson.rooms.find((one) => one.groupId === group.id && sourceOf(one.source).answers && isThere(one))
      : undefined;
    return room === undefined ? undefined : { on: listening.room === room.id, press: () => listening.listen(room.id) };
  };
}

/** Helps a group whose room has to be opened by somebody who has not come. */
function useWaiting({ lesson, control, refresh, enterRoom }: LessonDesk) {
  const { fail } = useMessages();
  const open = useMutation({
    mutationFn: (room: string) => take(api.POST('/api/staff/rooms/{id}/opened', { params: { path: { id: room } } })),
    onSettled: refresh,
    onError: fail,
  });
  return (
    group: Group,
    signal: Schema['GroupSignalView'],
    then: Closing,
  ): Parameters<typeof TableSignals>[0]['waiting'] => {
    const [lead] = signal.waitsFor;
    const room = lesson.rooms.find((one) => one.groupId === group.id);
    if (lead === undefined || room === undefined) return undefined;
    const others = lesson.students.filter(
      (one) => group.students.includes(one.id) && !signal.waitsFor.includes(one.id) && hasArrived(one),
    );
    return {
      text: m.round_waits_text({ names: list(signal.waitsFor.map(nameIn(lesson))) }),
      leads: others,
      onLead: (id) => then(() => control.edit({ kind: 'swap', student: lead, other: id }))(),
      onOpen: then(() => {
        enterRoom(group.id);
        open.mutate(room.id);
      }),
    };
  };
}

/** How many of a group are there, beside its name. */
function tableNote({ lesson, live }: LessonDesk, group: Group): string {
  const own = lesson.students.filter((student) => group.students.includes(student.id));
  const all = hereAt(group, lesson.students);
  if (live) return `${own.filter((student) => student.place === 'inPlace').length}/${all}`;
  return lesson.students.some(hasArrived) ? m.live_arrivedOf({ n: own.filter(hasArrived).length, all }) : String(all);
}

function signalsOfTable(
  desk: LessonDesk,
  earOf: Ear,
  waitingOf: ReturnType<typeof useWaiting>,
): (group: Group, onClose: () => void) => ReactNode {
  return function Signals(group, onClose) {
    const signal = signalOf(desk.lesson, group.id);
    if (signal === undefined) return null;
    const then: Closing = (what) => () => {
      what();
      onClose();
    };
    return (
      <TableSignals
        name={group.name}
        signal={signal}
        onVisit={then(() => desk.visit(group.id))}
        onSee={then(() => desk.give('seeCall', { group: group.id }))}
        heard={earOf(group)?.on}
        onListen={then(() => earOf(group)?.press())}
        waiting={waitingOf(group, signal, then)}
        onMark={(mark) => then(() => desk.give('chalk', { group: group.id, mark }))()}
      />
    );
  };
}

function changesOfTable({ lesson, give, setSheet }: LessonDesk): (group: Group, onClose: () => void) => ReactNode {
  return function Changes(group, onClose) {
    if (signalOf(lesson, group.id) === undefined) return null;
    const then: Closing = (what) => () => {
      what();
      onClose();
    };
    const seconds = lesson.round.callBackSeconds;
    return (
      <TableChanges
        name={group.name}
        onCallBack={then(() => give('takeAside', { group: group.id, place: 'main', seconds }))}
        onSplit={group.students.length > 1 ? then(() => setSheet({ kind: 'split', group })) : undefined}
        onMerge={lesson.floor.groups.length > 1 ? then(() => setSheet({ kind: 'merge', group })) : undefined}
      />
    );
  };
}

/** What else can be done with a student than moving them. */
function MoreOfStudent({
  desk: { lesson, door, setSheet },
  student,
  onClose,
}: {
  desk: LessonDesk;
  student: Schema['SeatedStudent'];
  onClose: () => void;
}) {
  return (
    <>
      <Action
        onPress={() => {
          setSheet({ kind: 'asStudent', student: student.id });
          onClose();
        }}
      >
        {m.asStudent_open()}
      </Action>
      {student.claimed && <Claim student={student} students={lesson.students} door={door} onClose={onClose} />}
    </>
  );
}

/** The bar over the tables, while they can be dealt anew before groups are out. */
function DealLine({ desk: { lesson, control } }: { desk: LessonDesk }) {
  const present = lesson.students.filter((student) => !student.absent).length;
  return (
    <div className="border-b border-line bg-sheet px-5 py-2">
      <DealBar floor={lesson.floor} students={present} control={control} live={false} mixBy={lesson.mixBy} />
    </div>
  );
}

export function LessonFloor({
  desk,
  lens,
  asList,
}: {
  desk: LessonDesk;
  lens: ReturnType<typeof useLens>;
  asList: boolean;
}) {
  const { lesson, control, over, working, wayTo } = desk;
  // Waiting times on the tables are in minutes.
  const now = useServerNow(5_000);
  const earOf = useEars(desk);
  const waitingOf = useWaiting(desk);
  const away = new Map(
    (working ? lesson.students : [])
      .map((one) => [one.id, awayText(lesson, one)] as const)
      .filter(([, text]) => text !== ''),
  );
  return (
    <>
      {!working && !over && <DealLine desk={desk} />}
      {!over && lesson.usedBy.length > 0 && <UsedBy uses={lesson.usedBy} />}
      <LensContext value={(id) => away.get(id) ?? lens.seen(id)}>
        <Floor
          floor={lesson.floor}
          students={lesson.students}
          control={control}
          onAbsent={desk.setAbsent}
          now={(student, onClose) => working && <StudentMoves lesson={lesson} student={student} onClose={onClose} />}
          more={(student, onClose) => <MoreOfStudent desk={desk} student={student} onClose={onClose} />}
          live={desk.live}
          readOnly={over}
          asList={asList}
          noteOf={(student) => noteOf(lesson, student)}
          wayTo={wayTo}
          tableNote={(group) => tableNote(desk, group)}
          earOf={earOf}
          stateOf={(group) => {
            const signal = signalOf(lesson, group.id);
            return signal === undefined ? undefined : stateOf(signal, now, nameIn(lesson));
          }}
          moreOfTable={signalsOfTable(desk, earOf, waitingOf)}
          changesOfTable={changesOfTable(desk)}
        />
      </LensContext>
    </>
  );
}

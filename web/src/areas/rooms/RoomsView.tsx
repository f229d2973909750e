// The rooms of a lesson: main session, one a group, side rooms.
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/fields/Field';
import { markOf } from '../../ui/signs/marks';
import { useMessages } from '../../ui/page/messages';
import { roomWindow } from '../../ui/roomWindow';
import { Sign } from '../../ui/signs/Sign';
import { WayIn } from '../../ui/signs/WayIn';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { PasteLinks } from './PasteLinks';
import { RoomSlip } from './RoomSlip';
import { SourceBar } from './SourceBar';
import { sourceOf } from './sources';
import { RecordingList } from './teacher/RecordingList';
import { differences, isThere, useRooms, type Room } from './useRooms';

type Lesson = Schema['LessonView'];

/** How a room stands, in words. */
function stateOf(room: Room, people: number): string {
  if (people > 0) return m.rooms_inUse({ n: people });
  if (room.working && !isThere(room)) return m.rooms_working();
  if (!isThere(room)) return sourceOf(room.source).isPasted ? m.rooms_notYet() : m.rooms_notMade();
  if (!sourceOf(room.source).hasLink) return m.rooms_there();
  if (room.state === 'closed') return m.rooms_states({ key: 'closed' });
  return room.triedAt === null ? m.rooms_states({ key: 'made' }) : m.rooms_triedAt({ time: timeText(room.triedAt) });
}

const peopleIn = (lesson: Lesson, room: Room) =>
  lesson.students.filter((one) => one.at === (room.purpose === 'main' ? 'main' : (room.groupId ?? room.id))).length;

/** Where it is, so far as that can be read. */
function whereOf(room: Room): string {
  if (sourceOf(room.source).isHere) return '';
  if (!sourceOf(room.source).hasLink) return m.rooms_place();
  if (room.link === null) return sourceOf(room.source).answers ? m.rooms_sources({ key: room.source }) : '';
  return room.link.replace(/^https?:\/\//u, '').replace(/\/$/u, '');
}

interface RowProps {
  room: Room;
  title: string;
  mark: number | null;
  rooms: ReturnType<typeof useRooms>;
  /** How many are seen in it. */
  people: number;
}

/** The group's sign and name, or the room's. */
function RowHead({ title, mark }: Pick<RowProps, 'title' | 'mark'>) {
  return (
    <th scope="row" className="w-[24%] py-2.5 pe-4 text-start font-semibold">
      <span className="flex min-w-0 items-center gap-2">
        {mark !== null && (
          <span style={{ color: `color-mix(in oklab, ${markOf(mark).colour} 70%, var(--ink))` }}>
            <Sign mark={mark} size={18} plain />
          </span>
        )}
        <span className="wrap-anywhere">{title}</span>
      </span>
    </th>
  );
}

/** How the room stands; once it has been tried, whether it was the right one. */
function StateCell({
  room,
  rooms,
  people,
  asked,
  onAnswered,
}: Omit<RowProps, 'title' | 'mark'> & { asked: boolean; onAnswered: () => void }) {
  const { fail } = useMessages();
  const tried = (was: boolean) => {
    onAnswered();
    rooms.tried.mutate({ id: room.id, was }, { onError: fail });
  };
  return (
    <td className="w-[22%] py-2.5 pe-4">
      <span className={room.failure === null ? '' : 'font-semibold text-lost'}>
        {room.failure ?? stateOf(room, people)}
      </span>
      {room.state === 'failed' && (
        <Button
          look="quiet"
          className="ms-2 text-sm"
          busy={rooms.retry.isPending}
          onClick={() => rooms.retry.mutate(room.id, { onError: fail })}
        >
          {m.rooms_again()}
        </Button>
      )}
      {asked && (
        <span className="mt-1 flex flex-wrap items-center gap-2 text-sm">
          {m.rooms_wasIt()}
          <Button onClick={() => tried(true)}>{m.rooms_yes()}</Button>
          <Button look="quiet" onClick={() => tried(false)}>
            {m.rooms_no()}
          </Button>
        </span>
      )}
    </td>
  );
}

/** The way in, to be tried, and what changes the room. */
function PressCell({ room, title, rooms, onTry }: Omit<RowProps, 'mark' | 'people'> & { onTry: () => void }) {
  const [slip, setSlip] = useState<DOMRect | null>(null);
  const close = () => {
    rooms.edit.reset();
    rooms.takeAway.reset();
    setSlip(null);
  };
  return (
    <td className="w-40 py-2 text-end whitespace-nowrap">
      {isThere(room) && sourceOf(room.source).hasLink && (
        <a
          href={`/api/staff/rooms/${room.id}/way`}
          target={roomWindow}
          aria-label={m.rooms_tryOf({ room: title })}
          className="me-4 underline decoration-line underline-offset-4 hover:decoration-ink"
          onClick={onTry}
        >
          <WayIn className="me-1 inline-block" />
          {m.rooms_try()}
        </a>
      )}
      <Button
        look="quiet"
        aria-label={m.rooms_changeOf({ room: title })}
        onClick={(event) => setSlip(event.currentTarget.getBoundingClientRect())}
      >
        {m.rooms_change()}
      </Button>
      {slip !== null && (
        <RoomSlip classId={rooms.classId} room={room} title={title} at={slip} rooms={rooms} onClose={close} />
      )}
    </td>
  );
}

function Row({ room, title, mark, rooms, people }: RowProps) {
  const [asked, setAsked] = useState(false);
  return (
    <tr className="border-b border-line align-top">
      <RowHead title={title} mark={mark} />
      <td className="py-2.5 pe-4">
        <span className="block wrap-anywhere">{room.purpose === 'side' ? '' : room.name}</span>
        <span className="block text-sm text-soft wrap-anywhere">{whereOf(room)}</span>
        {sourceOf(room.source).answers && differences(room).length > 0 && (
          <span className="block text-sm">{differences(room).join(' · ')}</span>
        )}
      </td>
      <StateCell room={room} rooms={rooms} people={people} asked={asked} onAnswered={() => setAsked(false)} />
      <PressCell room={room} title={title} rooms={rooms} onTry={() => setAsked(true)} />
    </tr>
  );
}

/** Side rooms of the class, and one more. */
function SideRooms({ lesson, rooms }: { lesson: Lesson; rooms: ReturnType<typeof useRooms> }) {
  const { fail } = useMessages();
  const [name, setName] = useState('');
  const side = lesson.rooms.filter((room) => room.purpose === 'side');
  return (
    <section aria-label={m.rooms_sideRooms()} className="mt-8">
      <h2 className="text-lg font-semibold">{m.rooms_sideRooms()}</h2>
      <p className="max-w-3xl text-soft">{m.rooms_sideLead()}</p>
      {side.length > 0 && (
        <table className="mt-2 w-full max-w-4xl">
          <tbody>
            {side.map((room) => (
              <Row
                key={room.id}
                people={peopleIn(lesson, room)}
                room={room}
                title={room.name}
                mark={null}
                rooms={rooms}
              />
            ))}
          </tbody>
        </table>
      )}
      <form
        className="mt-3 flex max-w-md items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          rooms.addSide.mutate(name, { onSuccess: () => setName(''), onError: fail });
        }}
      >
        <Field
          className="flex-1"
          label={m.rooms_addSide()}
          placeholder={m.rooms_sideExample()}
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" busy={rooms.addSide.isPending} className="mb-0.5">
          {m.rooms_add()}
        </Button>
      </form>
    </section>
  );
}

/** The main session and the rooms of groups, also of those that have none yet. */
function MainRooms({ lesson, rooms, roomOf }: { lesson: Lesson; rooms: ReturnType<typeof useRooms>; roomOf: RoomOf }) {
  const main = roomOf(null);
  return (
    <table className="mt-4 w-full max-w-4xl">
      <tbody>
        {main !== undefined && (
          <Row people={peopleIn(lesson, main)} room={main} title={m.rooms_mainSession()} mark={null} rooms={rooms} />
        )}
        {lesson.floor.groups.map((group) => {
          const room = roomOf(group.id);
          return room === undefined ? (
            <tr key={group.id} className="border-b border-line align-top">
              <RowHead title={group.name} mark={group.mark} />
              <td className="py-2.5 text-soft" colSpan={3}>
                {sourceOf(lesson.roomSource).isHere
                  ? m.rooms_whenComing()
                  : sourceOf(lesson.roomSource).isPasted
                    ? m.rooms_notYet()
                    : m.rooms_notMade()}
              </td>
            </tr>
          ) : (
            <Row
              key={group.id}
              people={peopleIn(lesson, room)}
              room={room}
              title={group.name}
              mark={group.mark}
              rooms={rooms}
            />
          );
        })}
      </tbody>
    </table>
  );
}

/** The room of a group; the main session for null. */
type RoomOf = (group: string | null) => Room | undefined;

/** Where everybody meets: the main session, a room a group, side rooms. */
export function RoomsView({
  lesson,
  pasting,
  onPasting,
}: {
  lesson: Lesson;
  /** Links are being pasted. */
  pasting: boolean;
  onPasting: (open: boolean) => void;
}) {
  const source = lesson.roomSource;
  const { fail } = useMessages();
  const rooms = useRooms(lesson);
  const { groups } = lesson.floor;
  const roomOf: RoomOf = (group) =>
    lesson.rooms.find((room) => (group === null ? room.purpose === 'main' : room.groupId === group));
  const missing = [null, ...groups.map((group) => group.id)].filter((group) => {
    const room = roomOf(group);
    return room === undefined || !isThere(room);
  }).length;
  return (
    <div className="floor-paper flex-1 overflow-y-auto px-5 py-5">
      <SourceBar classId={lesson.classId} />
      <div className="mt-4 flex flex-wrap gap-3">
        {(sourceOf(source).hasLink || sourceOf(source).isHere) && (
          <Button look={sourceOf(source).isPasted ? 'plain' : 'quiet'} onClick={() => onPasting(true)}>
            {m.rooms_paste()}
          </Button>
        )}
        {!sourceOf(source).isPasted && !sourceOf(source).isHere && missing > 0 && groups.length > 0 && (
          <Button busy={rooms.make.isPending} onClick={() => rooms.make.mutate(undefined, { onError: fail })}>
            {sourceOf(source).isFromPattern ? m.rooms_addresses({ n: missing }) : m.rooms_make({ n: missing })}
          </Button>
        )}
      </div>
      {groups.length === 0 && <p className="mt-4 text-soft">{m.rooms_none()}</p>}
      <MainRooms lesson={lesson} rooms={rooms} roomOf={roomOf} />
      <SideRooms lesson={lesson} rooms={rooms} />
      <RecordingList lesson={lesson.id} />
      <PasteLinks
        lesson={lesson}
        open={pasting}
        onClose={() => onPasting(false)}
        onDone={() => {
          onPasting(false);
          void rooms.refresh();
        }}
      />
    </div>
  );
}

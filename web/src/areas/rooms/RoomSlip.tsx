import { Fragment, useState } from 'react';
import type { Schema } from '../../api/client';
import { isProblem, problemText } from '../../api/problem';
import { Beside } from '../../ui/Beside';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import * as m from '#messages';
import { permissions, sources, useRoomSource, type Room, type useRooms } from './useRooms';

/** What students may do in this room: as in the class's other rooms, or yes, or no. */
function Allowed({
  classId,
  allowed,
  onChange,
}: {
  classId: string;
  allowed: Schema['AllowInRoom'];
  onChange: (allowed: Schema['AllowInRoom']) => void;
}) {
  const { source } = useRoomSource(classId);
  if (source === undefined) return null;
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{m.rooms_allowedHere()}</legend>
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)_9.5rem] items-center gap-x-2 gap-y-1 text-sm">
        {permissions.map((one) => (
          <Fragment key={one}>
            <span aria-hidden="true">{m.rooms_permissions({ key: one })}</span>
            <Choice
              hidden
              label={m.rooms_permissions({ key: one })}
              value={allowed[one] === undefined || allowed[one] === null ? 'class' : allowed[one] ? 'yes' : 'no'}
              options={[
                { value: 'class', label: m.rooms_asInClass({ may: String(source[one]) }) },
                { value: 'yes', label: m.rooms_may() },
                { value: 'no', label: m.rooms_mayNot() },
              ]}
              onChange={(said) => onChange({ ...allowed, [one]: said === 'class' ? null : said === 'yes' })}
            />
          </Fragment>
        ))}
      </div>
    </fieldset>
  );
}

/** Everything that can be changed about one room. */
export function RoomSlip({
  classId,
  room,
  title,
  at,
  rooms,
  onClose,
}: {
  classId: string;
  room: Room;
  title: string;
  at: DOMRect;
  rooms: ReturnType<typeof useRooms>;
  onClose: () => void;
}) {
  const [name, setName] = useState(room.name);
  const [link, setLink] = useState(room.link ?? '');
  const [source, setSource] = useState(room.source);
  const [allowed, setAllowed] = useState<Schema['AllowInRoom']>({
    mayRecord: room.mayRecord,
    mayShareScreen: room.mayShareScreen,
    mayWrite: room.mayWrite,
  });
  /** What has to be said again to be done all the same. */
  const [unsure, setUnsure] = useState<(() => void) | null>(null);
  const problem = rooms.edit.error ?? rooms.takeAway.error;
  const field = (of: string) => (isProblem(problem) ? problem.field(of) : undefined);
  const save = (sure: boolean) => {
    const body: Schema['EditRoom'] = { sure };
    if (permissions.some((one) => allowed[one] !== room[one])) body.allowed = allowed;
    if (name.trim() !== '' && name !== room.name) body.name = name;
    if (source === 'ownLinks' ? link.trim() !== (room.link ?? '') || source !== room.source : false)
      body.link = link.trim();
    else if (source !== room.source) body.source = source;
    rooms.edit.mutate(
      { id: room.id, ...body },
      {
        onSuccess: onClose,
        onError: (why) => setUnsure(isProblem(why) && why.field('sure') !== undefined ? () => () => save(true) : null),
      },
    );
  };
  const takeAway = (sure: boolean) =>
    rooms.takeAway.mutate(
      { id: room.id, sure },
      {
        onSuccess: onClose,
        onError: (why) =>
          setUnsure(isProblem(why) && why.field('sure') !== undefined ? () => () => takeAway(true) : null),
      },
    );
  return (
    <Beside at={at} title={title} onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save(false);
        }}
      >
        <Choice label={m.rooms_from()} value={source} options={sources} onChange={setSource} />
        {source === 'ownLinks' && (
          <Field
            label={m.rooms_link()}
            hint={m.rooms_linkHint()}
            error={field('link')}
            inputMode="url"
            spellCheck={false}
            value={link}
            maxLength={1000}
            onChange={(event) => setLink(event.target.value)}
          />
        )}
        <Field
          label={source === 'classroom' ? m.rooms_placeName() : m.rooms_name()}
          error={field('name')}
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        {source === 'meetingService' && <Allowed classId={classId} allowed={allowed} onChange={setAllowed} />}
        {problem !== null && field('link') === undefined && field('name') === undefined && (
          <p role="alert" className="font-semibold text-lost">
            {field('sure') ?? problemText(problem)}
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          {unsure === null ? (
            <Button type="submit" busy={rooms.edit.isPending}>
              {m.rooms_change()}
            </Button>
          ) : (
            <Button busy={rooms.edit.isPending} onClick={unsure}>
              {m.rooms_sure()}
            </Button>
          )}
          {room.purpose === 'side' && (
            <Button look="quiet" busy={rooms.takeAway.isPending} onClick={() => takeAway(false)}>
              {m.rooms_takeAway()}
            </Button>
          )}
        </div>
      </form>
    </Beside>
  );
}

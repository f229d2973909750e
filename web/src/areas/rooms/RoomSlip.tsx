// One room: its name, its link, and what students may do there.
import { Fragment, useState } from 'react';
import type { Schema } from '../../api/client';
import { isProblem, problemText } from '../../api/problem';
import { Beside } from '../../ui/slips/Beside';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Field } from '../../ui/fields/Field';
import * as m from '#messages';
import { sourceOf, sources } from './sources';
import { permissionsIn, useRoomSource, type Room, type useRooms } from './useRooms';

/** What students may do in this room: as in the class's other rooms, or yes, or no. */
function Allowed({
  classId,
  kind,
  allowed,
  onChange,
}: {
  classId: string;
  /** Where the room is. */
  kind: Room['source'];
  allowed: Schema['AllowInRoom'];
  onChange: (allowed: Schema['AllowInRoom']) => void;
}) {
  const { source } = useRoomSource(classId);
  if (source === undefined) return null;
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{m.rooms_allowedHere()}</legend>
      <div className="mt-1 grid grid-cols-[minmax(0,1fr)_9.5rem] items-center gap-x-2 gap-y-1 text-sm">
        {permissionsIn(kind).map((one) => (
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

interface Draft {
  name: string;
  link: string;
  source: Room['source'];
  allowed: Schema['AllowInRoom'];
}

/** What of a room has been changed. */
function changes(room: Room, { name, link, source, allowed }: Draft): Schema['EditRoom'] {
  const body: Schema['EditRoom'] = {};
  if (permissionsIn(source).some((one) => allowed[one] !== room[one])) body.allowed = allowed;
  if (name.trim() !== '' && name !== room.name) body.name = name;
  if (sourceOf(source).isPasted) {
    if (link.trim() !== (room.link ?? '') || source !== room.source) body.link = link.trim();
  } else if (source !== room.source) body.source = source;
  return body;
}

/** Saves a room and takes it away; what has to be said again to be done all the same is asked (`unsure`). */
function useRoomPresses(room: Room, rooms: ReturnType<typeof useRooms>, onClose: () => void) {
  const [unsure, setUnsure] = useState<(() => void) | null>(null);
  const asks = (again: () => void) => (why: unknown) =>
    setUnsure(isProblem(why) && why.field('sure') !== undefined ? () => again : null);
  const save = (draft: Draft, sure: boolean) =>
    rooms.edit.mutate(
      { id: room.id, sure, ...changes(room, draft) },
      { onSuccess: onClose, onError: asks(() => save(draft, true)) },
    );
  const takeAway = (sure: boolean) =>
    rooms.takeAway.mutate({ id: room.id, sure }, { onSuccess: onClose, onError: asks(() => takeAway(true)) });
  return { unsure, save, takeAway };
}

type Change = (change: Partial<Draft>) => void;

/** Where the room is, and what it is called. */
function Fields({
  draft: { source, link, name },
  errorOf,
  onChange,
}: {
  draft: Draft;
  errorOf: (field: string) => string | undefined;
  onChange: Change;
}) {
  return (
    <>
      <Choice label={m.rooms_from()} value={source} options={sources} onChange={(to) => onChange({ source: to })} />
      {sourceOf(source).isPasted && (
        <Field
          label={m.rooms_link()}
          hint={m.rooms_linkHint()}
          error={errorOf('link')}
          inputMode="url"
          spellCheck={false}
          value={link}
          maxLength={1000}
          onChange={(event) => onChange({ link: event.target.value })}
        />
      )}
      <Field
        label={sourceOf(source).hasLink || sourceOf(source).isHere ? m.rooms_name() : m.rooms_placeName()}
        error={errorOf('name')}
        value={name}
        maxLength={120}
        onChange={(event) => onChange({ name: event.target.value })}
      />
    </>
  );
}

/** Saves; or, where it was asked whether that is meant, says that it is. */
function SavePress({ busy, unsure }: { busy: boolean; unsure: (() => void) | null }) {
  return unsure === null ? (
    <Button type="submit" busy={busy}>
      {m.rooms_change()}
    </Button>
  ) : (
    <Button busy={busy} onClick={unsure}>
      {m.rooms_sure()}
    </Button>
  );
}

interface SlipProps {
  classId: string;
  room: Room;
  title: string;
  at: DOMRect;
  rooms: ReturnType<typeof useRooms>;
  onClose: () => void;
}

/** Everything that can be changed about one room. */
export function RoomSlip({ classId, room, title, at, rooms, onClose }: SlipProps) {
  const { mayRecord, mayShareScreen, mayWrite } = room;
  const [draft, setDraft] = useState<Draft>({
    name: room.name,
    link: room.link ?? '',
    source: room.source,
    allowed: { mayRecord, mayShareScreen, mayWrite },
  });
  const change: Change = (some) => setDraft({ ...draft, ...some });
  const { unsure, save, takeAway } = useRoomPresses(room, rooms, onClose);
  const problem = rooms.edit.error ?? rooms.takeAway.error;
  const errorOf = (field: string) => (isProblem(problem) ? problem.field(field) : undefined);
  return (
    <Beside at={at} title={title} onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save(draft, false);
        }}
      >
        <Fields draft={draft} errorOf={errorOf} onChange={change} />
        {sourceOf(draft.source).answers && (
          <Allowed
            classId={classId}
            kind={draft.source}
            allowed={draft.allowed}
            onChange={(allowed) => change({ allowed })}
          />
        )}
        {problem !== null && errorOf('link') === undefined && errorOf('name') === undefined && (
          <p role="alert" className="font-semibold text-lost">
            {errorOf('sure') ?? problemText(problem)}
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <SavePress busy={rooms.edit.isPending} unsure={unsure} />
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

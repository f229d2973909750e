// Where a class's rooms come from.
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { isProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { Field } from '../../ui/fields/Field';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { sourceOf, sources } from './sources';
import { permissionsIn, useRoomSource } from './useRooms';

const permissionText = {
  mayShareScreen: m.rooms_mayShareScreen,
  mayWrite: m.rooms_mayWrite,
  mayRecord: m.rooms_mayRecord,
};

/** A line that is saved when it is left or Enter is pressed; what cannot be used stays, with the reason. */
function Line({
  label,
  hint,
  value,
  maxLength,
  error,
  onSave,
}: {
  label: string;
  hint: string;
  value: string;
  maxLength: number;
  error: string | undefined;
  onSave: (value: string) => void;
}) {
  const [draft, setDraft] = useState(value);
  const [from, setFrom] = useState(value);
  if (from !== value) {
    setFrom(value);
    setDraft(value);
  }
  const save = () => draft.trim() !== value && onSave(draft.trim());
  return (
    <Field
      label={label}
      hint={hint}
      error={error}
      value={draft}
      maxLength={maxLength}
      spellCheck={false}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => event.key === 'Enter' && save()}
    />
  );
}

type Source = Schema['RoomSourceView'];

interface SettingProps {
  source: Source;
  /** What was wrong with a field. */
  errorOf: (field: string) => string | undefined;
  onPut: (body: Schema['SaveRoomSource']) => void;
}

/** The address all rooms are made after, and a warning where it can be guessed. */
function Pattern({ source, errorOf, onPut }: SettingProps) {
  return (
    <div className="mt-3">
      <Line
        label={m.rooms_pattern()}
        hint={m.rooms_patternHint()}
        value={source.addressPattern}
        maxLength={400}
        error={errorOf('addressPattern')}
        onSave={(addressPattern) => onPut({ addressPattern })}
      />
      {source.withTail !== null && (
        <p className="mt-2 border-s-4 border-ink ps-3">
          {m.rooms_guessable()}{' '}
          <Button className="mt-1 text-sm" onClick={() => onPut({ addressPattern: source.withTail })}>
            {m.rooms_addTail()}
          </Button>
        </p>
      )}
    </div>
  );
}

/** What students may do in rooms, and when those of the meeting service close. */
function ServiceSettings({ source, onPut }: SettingProps) {
  return (
    <>
      <fieldset>
        <legend className="text-sm font-semibold">{m.rooms_allowed()}</legend>
        {permissionsIn(source.kind).map((one) => (
          <label key={one} className="mt-1 flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-ink"
              checked={source[one]}
              onChange={(event) => onPut({ [one]: event.target.checked })}
            />
            {permissionText[one]()}
          </label>
        ))}
        <p className="mt-1 text-sm text-soft">{m.rooms_allowedHint()}</p>
      </fieldset>
      {!sourceOf(source.kind).isHere && (
        <label className="flex items-start gap-2 sm:col-span-2">
          <input
            type="checkbox"
            className="mt-1 size-4 accent-ink"
            checked={source.life === 'round'}
            onChange={(event) => onPut({ life: event.target.checked ? 'round' : 'grouping' })}
          />
          <span>
            {m.rooms_closes()} <span className="block text-sm text-soft">{m.rooms_closesHint()}</span>
          </span>
        </label>
      )}
    </>
  );
}

/** How long recordings can be kept; 0: there are none. */
const recordingDays = (now: number) => [...new Set([0, 1, 7, 30, now])].sort((a, b) => a - b);

/** What is asked of rooms in our own pages. */
function HereSettings({ source, onPut }: SettingProps) {
  return (
    <>
      <Choice
        label={m.rooms_recordings()}
        value={String(source.recordingDays)}
        options={recordingDays(source.recordingDays).map((days) => ({
          value: String(days),
          label: m.rooms_recordingDays({ n: days }),
        }))}
        onChange={(days) => onPut({ recordingDays: Number(days) })}
      />
      <label className="flex items-start gap-2 sm:col-span-2">
        <input
          type="checkbox"
          className="mt-1 size-4 accent-ink"
          checked={source.takesIn}
          onChange={(event) => onPut({ takesIn: event.target.checked })}
        />
        <span>
          {m.rooms_takesIn()} <span className="block text-sm text-soft">{m.rooms_takesInHint()}</span>
        </span>
      </label>
    </>
  );
}

/** How new rooms begin. */
function More(setting: SettingProps) {
  const { source, errorOf, onPut } = setting;
  const mayNeedOpening = sourceOf(source.kind).mayNeedOpening;
  return (
    <div className="mt-2 grid gap-4 border border-ink bg-sheet p-4 sm:grid-cols-2">
      <Line
        label={m.rooms_names()}
        hint={m.rooms_namesHint()}
        value={source.namePattern}
        maxLength={120}
        error={errorOf('namePattern')}
        onSave={(namePattern) => onPut({ namePattern })}
      />
      {mayNeedOpening && (
        <Line
          label={m.rooms_openedBy()}
          hint={m.rooms_openedByHint()}
          value={source.openedBy}
          maxLength={60}
          error={errorOf('openedBy')}
          onSave={(openedBy) => onPut({ openedBy })}
        />
      )}
      {sourceOf(source.kind).isHere && <HereSettings {...setting} />}
      {sourceOf(source.kind).answers && <ServiceSettings {...setting} />}
    </div>
  );
}

/** Where the rooms of the class come from, and how new ones begin. */
export function SourceBar({ classId }: { classId: string }) {
  const { fail } = useMessages();
  const { source, save } = useRoomSource(classId);
  const [more, setMore] = useState(false);
  if (source === undefined) return null;
  const problem = isProblem(save.error) ? save.error : undefined;
  const put = (body: Schema['SaveRoomSource']) =>
    save.mutate(body, {
      onError: (why) => {
        if (!isProblem(why) || (why.field('addressPattern') ?? why.field('namePattern')) === undefined) fail(why);
      },
    });
  const setting = { source, errorOf: (field: string) => problem?.field(field), onPut: put };
  return (
    <div className="max-w-3xl">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-2">
        <span className="font-head text-2xl font-semibold">{m.rooms_whereFrom()}</span>
        <Choice
          hidden
          label={m.rooms_whereFrom()}
          className="min-w-72 text-lg"
          value={source.kind}
          options={sources}
          onChange={(kind) => put({ kind })}
        />
      </div>
      <p className="mt-1 text-soft">{m.rooms_hints({ key: source.kind })}</p>
      {sourceOf(source.kind).isFromPattern && <Pattern {...setting} />}
      <Button look="quiet" className="mt-1 text-sm" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? m.rooms_less() : m.rooms_more()}
      </Button>
      {more && <More {...setting} />}
    </div>
  );
}

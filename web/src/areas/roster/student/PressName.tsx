// The list of names at the door, to be pressed.
import clsx from 'clsx';
import { useEffect, useState } from 'react';
import type { Schema } from '../../../api/client';
import { BigSign } from '../../../ui/signs/BigSign';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { Picture } from '../../../ui/signs/Picture';
import { canSpeak, say } from '../../../ui/speech';
import * as m from '#messages';

const fold = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();
const searchAbove = 12;

/** They cannot read yet: they hear that each finds their own picture. */
function FindPicture() {
  const hear = () => say([{ text: m.young_findPicture(), lang: m.young_lang() }]);
  useEffect(hear, []);
  if (!canSpeak()) return null;
  return (
    <button
      type="button"
      aria-label={m.young_again()}
      onClick={hear}
      className="mt-4 flex size-24 items-center justify-center border-2 border-ink bg-sheet active:bg-wash"
    >
      <BigSign name="speak" size={64} />
    </button>
  );
}

function Name({
  name,
  young,
  busy,
  onPress,
}: {
  name: Schema['NameAtDoor'];
  young: boolean;
  busy: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      disabled={busy || name.taken}
      onClick={onPress}
      className={clsx(
        young ? 'h-full flex-col justify-center text-center' : 'justify-between text-start',
        'flex w-full items-center gap-3 border-2 border-ink bg-sheet px-4 py-3 text-lg active:bg-ink active:text-ground disabled:border-line disabled:text-soft disabled:[&_svg]:opacity-30',
      )}
    >
      {name.picture != null && <Picture number={name.picture} size={96} />}
      <span className="min-w-0 wrap-anywhere">{name.name}</span>
      {name.taken && <span className="text-sm">{m.student_join_taken()}</span>}
    </button>
  );
}

/** The list at the door, for those who cannot type their name yet. */
export default function PressName({
  door,
  names,
  busy,
  error,
  onName,
  onTyped,
  onOther,
}: {
  door: Schema['ClassDoor'];
  names: Schema['NameAtDoor'][];
  busy: boolean;
  error: string | undefined;
  onName: (student: string) => void;
  onTyped: () => void;
  onOther: () => void;
}) {
  const [find, setFind] = useState('');
  const young = names.some((name) => name.picture != null);
  const shown = names.filter((name) => fold(name.name).includes(fold(find)));
  return (
    <>
      <h1 className="text-3xl font-semibold wrap-anywhere">{m.student_join_who({ className: door.className })}</h1>
      {young && <FindPicture />}
      {!young && names.length > searchAbove && (
        <Field
          className="mt-4"
          label={m.student_join_find()}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      )}
      {error !== undefined && (
        <p role="alert" className="mt-3 border-2 border-lost bg-lost-wash p-3 font-semibold">
          {error}
        </p>
      )}
      {shown.length === 0 && (
        <p className="mt-6">{names.length === 0 ? m.student_join_empty() : m.student_join_none()}</p>
      )}
      <ul className={young ? 'mt-4 grid grid-cols-2 gap-3' : 'mt-4 space-y-2'}>
        {shown.map((name) => (
          <li key={name.id}>
            <Name name={name} young={young} busy={busy} onPress={() => onName(name.id)} />
          </li>
        ))}
      </ul>
      <div className="mt-6 flex flex-col items-start gap-2">
        <Button look="quiet" onClick={onTyped}>
          {m.student_join_notHere()}
        </Button>
        <Button look="quiet" onClick={onOther}>
          {m.student_join_other()}
        </Button>
      </div>
    </>
  );
}

// What is said by itself at set times of the round.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { useMessages } from '../../../ui/page/messages';
import { useKept } from '../../../ui/useKept';
import * as m from '#messages';
import { useOrder } from '../../lesson/useOrder';

type Lesson = Schema['LessonView'];
type Notice = Schema['PrepareNotice'];
const most = 12;
const field = 'mt-1 w-full border border-ink bg-sheet px-2 font-normal';

/** What is there already, each to be taken out. */
function NoticeList({
  notices,
  busy,
  onRemove,
}: {
  notices: Lesson['round']['notices'];
  busy: boolean;
  onRemove: (position: number) => void;
}) {
  return (
    <ul>
      {notices.map((one, i) => (
        <li key={one.id} className="flex items-baseline gap-2 border-b border-line py-1 text-sm">
          <span className="min-w-0 flex-1 wrap-anywhere">
            <span className="text-soft">
              {m.round_prepared_line({ minutes: one.seconds / 60, when: one.beforeEnd ? 'beforeEnd' : 'after' })}:
            </span>{' '}
            {one.text}
          </span>
          <Button
            look="quiet"
            className="shrink-0 text-sm"
            busy={busy}
            aria-label={`${m.round_prepared_none()}: ${one.text}`}
            onClick={() => onRemove(i)}
          >
            {m.round_prepared_none()}
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** When it is said: so many minutes after the start, or before the end. */
function WhenFields({
  minutes,
  beforeEnd,
  onMinutes,
  onBeforeEnd,
}: {
  minutes: string;
  beforeEnd: boolean;
  onMinutes: (minutes: string) => void;
  onBeforeEnd: (beforeEnd: boolean) => void;
}) {
  return (
    <div className="flex items-end gap-2">
      <label className="block w-20 text-sm font-semibold">
        {m.round_prepared_minutes()}
        <input
          inputMode="decimal"
          value={minutes}
          onChange={(event) => onMinutes(event.target.value)}
          className={`${field} py-1`}
        />
      </label>
      <Choice
        label={m.round_prepared_when()}
        className="grow text-sm"
        value={beforeEnd ? 'end' : 'start'}
        options={[
          { value: 'end', label: m.round_prepared_beforeEnd() },
          { value: 'start', label: m.round_prepared_after() },
        ]}
        onChange={(to) => onBeforeEnd(to === 'end')}
      />
    </div>
  );
}

function AddNotice({
  text,
  busy,
  onText,
  onAdd,
}: {
  text: string;
  busy: boolean;
  onText: (text: string) => void;
  onAdd: (notice: Notice) => void;
}) {
  const [minutes, setMinutes] = useState('2');
  const [beforeEnd, setBeforeEnd] = useState(true);
  const number = Number(minutes.replace(',', '.'));
  const works = text.trim() !== '' && minutes.trim() !== '' && number >= 0 && number <= 600;
  return (
    <form
      className="mt-2 flex flex-col gap-2 border-s-4 border-ink ps-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (works && !busy) onAdd({ beforeEnd, seconds: Math.round(60 * number), text: text.trim() });
      }}
    >
      <label className="block text-sm font-semibold">
        {m.round_prepared_text()}
        <textarea
          rows={2}
          maxLength={280}
          value={text}
          placeholder={m.round_prepared_hint()}
          onChange={(event) => onText(event.target.value)}
          className={`${field} py-1.5`}
        />
      </label>
      <WhenFields minutes={minutes} beforeEnd={beforeEnd} onMinutes={setMinutes} onBeforeEnd={setBeforeEnd} />
      <Button type="submit" className="self-start" busy={busy} disabled={!works}>
        {m.round_prepared_add()}
      </Button>
    </form>
  );
}

export function Prepared({ lesson }: { lesson: Lesson }) {
  const control = useOrder(lesson.id, lesson.order);
  const { fail } = useMessages();
  const { notices } = lesson.round;
  const [text, setText, forget] = useKept(`prepared:${lesson.round.segmentId}`);
  const [adding, setAdding] = useState(text !== '');
  const [busy, setBusy] = useState(false);
  const save = (all: Notice[]) => {
    setBusy(true);
    return control
      .edit(lesson.round.segmentId, { notices: all })
      .catch(fail)
      .finally(() => setBusy(false));
  };
  const plain = notices.map(({ beforeEnd, seconds, text: what }) => ({ beforeEnd, seconds, text: what }));
  return (
    <section aria-label={m.round_prepared_title()} className="col-span-2">
      <h3 className="font-sans text-sm font-semibold">{m.round_prepared_title()}</h3>
      {notices.length === 0 && !adding && <p className="text-sm text-soft">{m.round_prepared_lead()}</p>}
      <NoticeList
        notices={notices}
        busy={busy}
        onRemove={(position) => void save(plain.filter((_, other) => other !== position))}
      />
      {adding && (
        <AddNotice
          text={text}
          busy={busy}
          onText={setText}
          onAdd={(notice) =>
            void save([...plain, notice]).then(() => {
              forget();
              setAdding(false);
            })
          }
        />
      )}
      {!adding && notices.length < most && (
        <Button look="quiet" className="text-sm" onClick={() => setAdding(true)}>
          {m.round_prepared_add()}
        </Button>
      )}
    </section>
  );
}

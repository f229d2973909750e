// What is sent to students of a round: posts and letters.
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Field } from '../../ui/fields/Field';
import { Sheet } from '../../ui/slips/Sheet';
import { Tick } from '../../ui/fields/Tick';
import * as m from '#messages';
import { forInput, fromInput } from '../../words/when';
import { useSending } from './useSendingLine';

type Lesson = Schema['LessonView'];

type Settings = Schema['SendingView'];
type Save = (change: Schema['SaveSending']) => void;

/** How posts to the portal look: in which unit, until when, and whether they count. */
function PostSettings({ sending, counted, onSave }: { sending: Settings; counted: boolean; onSave: Save }) {
  return (
    <div className="flex flex-col gap-3 border-s-2 border-ink ps-4">
      <Field
        label={m.setUp_sending_unit()}
        defaultValue={sending.unit}
        maxLength={120}
        onBlur={(event) => {
          if (event.target.value.trim() !== sending.unit) onSave({ unit: event.target.value });
        }}
      />
      <Field
        label={m.setUp_sending_due()}
        type="datetime-local"
        {...(sending.dueAt === null && { hint: m.setUp_sending_noDue() })}
        defaultValue={sending.dueAt === null ? '' : forInput(sending.dueAt)}
        onBlur={(event) => {
          const dueAt = fromInput(event.target.value) ?? 0;
          if (dueAt !== (sending.dueAt ?? 0)) onSave({ dueAt });
        }}
      />
      <Tick label={m.setUp_sending_counted()} checked={counted} onChange={(is) => onSave({ counted: is })} />
      {sending.portal !== null && (
        <a className="w-fit underline underline-offset-4" href={sending.portal} target="_blank" rel="noreferrer">
          {m.setUp_sending_portal()}
        </a>
      )}
    </div>
  );
}

/** Letters that came back. */
function CameBack({ back }: { back: Settings['back'] }) {
  return (
    <section aria-label={m.setUp_sending_back()} className="border-s-8 border-lost ps-3">
      <h3 className="font-semibold">{m.setUp_sending_back()}</h3>
      <ul>
        {back.map((one) => (
          <li key={one.studentId} className="py-0.5 wrap-anywhere">
            {one.name} <span className="text-sm text-soft">{`${one.address}: ${one.why}`}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The set-up for other programs, with or without what lets students in. */
function TakeAlong({ roundId }: { roundId: string }) {
  const [codes, setCodes] = useState(false);
  const at = `/api/staff/rounds/${roundId}/set-up`;
  const query = codes ? '?codes=1' : '';
  return (
    <>
      <p className="border-t border-line pt-3 text-sm">
        {m.setUp_sending_takeAlong()}{' '}
        <a className="underline underline-offset-4" href={`${at}.csv${query}`} download>
          CSV
        </a>{' '}
        <a className="underline underline-offset-4" href={`${at}.json${query}`} download>
          JSON
        </a>
      </p>
      <Tick label={m.setUp_sending_codes()} hint={m.setUp_sending_codesWarning()} checked={codes} onChange={setCodes} />
    </>
  );
}

/** What goes out of a round beside its rooms and copies, and what came of it. */
export function SendingSheet({ lesson, open, onClose }: { lesson: Lesson; open: boolean; onClose: () => void }) {
  const { sending, save } = useSending(lesson);
  // What is ticked shows at once, in the same moment: until it is saved, or is not.
  const [ticked, setTicked] = useState<Schema['SaveSending']>({});
  const put: Save = (change) => {
    setTicked((before) => ({ ...before, ...change }));
    save.mutate(change, { onSettled: () => setTicked({}) });
  };
  const kept = sending.data;
  const now = kept === undefined ? undefined : { ...kept, ...ticked };
  return (
    <Sheet open={open} onClose={onClose} title={m.setUp_sending_title()}>
      {sending.isError && <p role="alert">{problemText(sending.error)}</p>}
      {sending.isPending && <p className="py-4 text-soft">{m.common_loading()}</p>}
      {kept !== undefined && now !== undefined && (
        <div className="flex flex-col gap-4">
          <Tick
            label={m.setUp_sending_posts()}
            hint={m.setUp_sending_postsHint()}
            checked={now.posts === true}
            onChange={(posts) => put({ posts })}
          />
          {now.posts === true && <PostSettings sending={kept} counted={now.counted === true} onSave={put} />}
          <Tick
            label={m.setUp_sending_letters()}
            hint={m.setUp_sending_lettersHint({ n: kept.addresses })}
            checked={now.letters === true}
            disabled={kept.addresses === 0 && !kept.letters}
            onChange={(letters) => put({ letters })}
          />
          {kept.back.length > 0 && <CameBack back={kept.back} />}
          <p className="text-sm text-soft">{m.setUp_sending_goesOut()}</p>
          <TakeAlong roundId={lesson.round.id} />
        </div>
      )}
    </Sheet>
  );
}

import { useState } from 'react';
import type { Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Field } from '../../ui/Field';
import { Sheet } from '../../ui/Sheet';
import { Tick } from '../../ui/Tick';
import * as m from '#messages';
import { forInput, fromInput } from '../../words/when';
import { useSending } from './useSendingLine';

type Lesson = Schema['LessonView'];

/** What goes out of a round beside its rooms and copies, and what came of it. */
export function SendingSheet({ lesson, open, onClose }: { lesson: Lesson; open: boolean; onClose: () => void }) {
  const { sending, save } = useSending(lesson);
  const [codes, setCodes] = useState(false);
  const is = sending.data;
  // What was ticked a moment ago shows at once.
  const now = is === undefined ? undefined : { ...is, ...(save.isPending ? save.variables : {}) };
  const at = `/api/staff/rounds/${lesson.round.id}/set-up`;
  return (
    <Sheet open={open} onClose={onClose} title={m.setUp_sending_title()}>
      {sending.isError && <p role="alert">{problemText(sending.error)}</p>}
      {sending.isPending && <p className="py-4 text-soft">{m.common_loading()}</p>}
      {is !== undefined && now !== undefined && (
        <div className="flex flex-col gap-4">
          <Tick
            label={m.setUp_sending_posts()}
            hint={m.setUp_sending_postsHint()}
            checked={now.posts === true}
            onChange={(posts) => save.mutate({ posts })}
          />
          {now.posts === true && (
            <div className="flex flex-col gap-3 border-s-2 border-ink ps-4">
              <Field
                label={m.setUp_sending_unit()}
                defaultValue={is.unit}
                maxLength={120}
                onBlur={(event) => {
                  if (event.target.value.trim() !== is.unit) save.mutate({ unit: event.target.value });
                }}
              />
              <Field
                label={m.setUp_sending_due()}
                type="datetime-local"
                {...(is.dueAt === null && { hint: m.setUp_sending_noDue() })}
                defaultValue={is.dueAt === null ? '' : forInput(is.dueAt)}
                onBlur={(event) => {
                  const dueAt = fromInput(event.target.value) ?? 0;
                  if (dueAt !== (is.dueAt ?? 0)) save.mutate({ dueAt });
                }}
              />
              <Tick
                label={m.setUp_sending_counted()}
                checked={now.counted === true}
                onChange={(counted) => save.mutate({ counted })}
              />
              {is.portal !== null && (
                <a className="w-fit underline underline-offset-4" href={is.portal} target="_blank" rel="noreferrer">
                  {m.setUp_sending_portal()}
                </a>
              )}
            </div>
          )}
          <Tick
            label={m.setUp_sending_letters()}
            hint={m.setUp_sending_lettersHint({ n: is.addresses })}
            checked={now.letters === true}
            disabled={is.addresses === 0 && !is.letters}
            onChange={(letters) => save.mutate({ letters })}
          />
          {is.back.length > 0 && (
            <section aria-label={m.setUp_sending_back()} className="border-s-8 border-lost ps-3">
              <h3 className="font-semibold">{m.setUp_sending_back()}</h3>
              <ul>
                {is.back.map((one) => (
                  <li key={one.studentId} className="py-0.5 wrap-anywhere">
                    {one.name} <span className="text-sm text-soft">{`${one.address}: ${one.why}`}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <p className="text-sm text-soft">{m.setUp_sending_goesOut()}</p>
          <p className="border-t border-line pt-3 text-sm">
            {m.setUp_sending_takeAlong()}{' '}
            <a className="underline underline-offset-4" href={`${at}.csv${codes ? '?codes=1' : ''}`} download>
              CSV
            </a>{' '}
            <a className="underline underline-offset-4" href={`${at}.json${codes ? '?codes=1' : ''}`} download>
              JSON
            </a>
          </p>
          <Tick
            label={m.setUp_sending_codes()}
            hint={m.setUp_sending_codesWarning()}
            checked={codes}
            onChange={setCodes}
          />
        </div>
      )}
    </Sheet>
  );
}

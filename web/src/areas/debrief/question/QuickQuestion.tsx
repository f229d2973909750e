// A quick question to everybody: asked in a line, answered in one press, shown when the teacher says so.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import * as m from '#messages';
import { list } from '../../../words/list';
import { SumPicture, type SumView } from '../sum/SumPicture';
import { useAsk, useDebrief, useEditQuestion, useMakeExit, type Debrief } from '../useDebrief';

type Kind = Schema['QuestionKind'];
const kinds: Kind[] = ['choice', 'words', 'number'];
/** What most questions are answered with. */
const usual = () => [m.debrief_question_yes(), m.debrief_question_no()].join(', ');

/** One choice a comma, or a line. */
const choicesIn = (text: string) =>
  text
    .split(/[,;\n]/)
    .map((one) => one.trim())
    .filter((one) => one !== '');

function Ask({ lesson, onDone }: { lesson: string; onDone: () => void }) {
  const ask = useAsk(lesson);
  const [text, setText] = useState('');
  const [kind, setKind] = useState<Kind>('choice');
  const [choices, setChoices] = useState(usual);
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate({ kind, text, choices: kind === 'choice' ? choicesIn(choices) : [] }, { onSuccess: onDone });
      }}
    >
      <input
        value={text}
        maxLength={200}
        aria-label={m.debrief_question_text()}
        placeholder={m.debrief_question_text()}
        onChange={(event) => setText(event.target.value)}
        className="border border-ink bg-sheet px-3 py-2"
      />
      <Choice
        label={m.debrief_question_kind()}
        hidden
        className="text-sm"
        value={kind}
        options={kinds.map((one) => ({ value: one, label: m.debrief_question_kinds({ key: one }) }))}
        onChange={setKind}
      />
      {kind === 'choice' && (
        <input
          value={choices}
          maxLength={600}
          aria-label={m.debrief_question_choices()}
          placeholder={m.debrief_question_choices()}
          onChange={(event) => setChoices(event.target.value)}
          className="border border-ink bg-sheet px-3 py-1.5 text-sm"
        />
      )}
      {ask.isError && <p className="text-sm font-semibold text-lost">{problemText(ask.error)}</p>}
      <Button type="submit" className="font-semibold" disabled={text.trim() === ''} busy={ask.isPending}>
        {m.debrief_question_ask()}
      </Button>
    </form>
  );
}

function Asked({ lesson, asked }: { lesson: Schema['LessonView']; asked: NonNullable<Debrief['asked']> }) {
  const edit = useEditQuestion(lesson.id);
  const { question, shown, missing, isExit } = asked;
  const makeExit = useMakeExit(lesson.id);
  const change = (what: Schema['EditQuestion']) => edit.mutate({ question: question.id, ...what });
  const names = missing.map((id) => lesson.students.find((one) => one.id === id)?.name ?? '');
  return (
    <div className="text-sm">
      {question.sum !== null && <SumPicture sum={question.sum as SumView} />}
      {question.open && names.length > 0 && (
        <p className="mt-2 text-soft wrap-anywhere">
          {m.debrief_question_missing({ n: names.length, names: list(names.slice(0, 6)) })}
        </p>
      )}
      {isExit && <p className="mt-2 text-soft">{m.debrief_question_isExit()}</p>}
      {makeExit.isError && <p className="mt-2 font-semibold text-lost">{problemText(makeExit.error)}</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button aria-pressed={shown} className="font-semibold" onClick={() => change({ shown: !shown })}>
          {shown ? m.debrief_question_hide() : m.debrief_question_show()}
        </Button>
        <Button onClick={() => change({ open: !question.open })}>
          {question.open ? m.debrief_question_close() : m.debrief_question_reopen()}
        </Button>
        {!isExit && (
          <Button busy={makeExit.isPending} onClick={() => makeExit.mutate(question.id)}>
            {m.debrief_question_exit()}
          </Button>
        )}
      </div>
    </div>
  );
}

export function QuickQuestion({ lesson }: { lesson: Schema['LessonView'] }) {
  const debrief = useDebrief(lesson);
  const [isAsking, setAsking] = useState(false);
  if (debrief === undefined) return null;
  const { asked } = debrief;
  return (
    <section aria-label={m.debrief_question_title()} className="border-t-2 border-ink pt-1.5">
      <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.debrief_question_title()}</h2>
      {asked !== null && <Asked lesson={lesson} asked={asked} />}
      {isAsking ? (
        <div className="mt-3">
          <Ask lesson={lesson.id} onDone={() => setAsking(false)} />
        </div>
      ) : (
        <Button look="quiet" className="-ms-2 text-sm" onClick={() => setAsking(true)}>
          {asked === null ? m.debrief_question_new() : m.debrief_question_another()}
        </Button>
      )}
    </section>
  );
}

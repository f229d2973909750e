// A quick question on a student's page: answered in one press.
import { useEffect, useState } from 'react';
import { api, take, type Schema, type Whole } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { SumPicture } from '../sum/SumPicture';

type Asked = Whole<Schema['QuestionView']>;

/** What was answered, on whatever device, and how to answer. */
function useAnswer(question: string, open: boolean) {
  const [mine, setMine] = useState<string | null>(null);
  const [failure, setFailure] = useState('');
  const [busy, setBusy] = useState(false);
  const path = { params: { path: { question } } };
  useEffect(() => {
    if (!open) return;
    // What cannot be asked now is answered anew.
    take(api.GET('/api/student/questions/{question}/answer', { params: { path: { question } } })).then(
      ({ answer }) => setMine(answer),
      () => undefined,
    );
  }, [question, open]);
  const send = (answer: string) => {
    setBusy(true);
    take(api.PUT('/api/student/questions/{question}/answer', { ...path, body: { answer } }))
      .then(
        (done) => {
          setMine(done.answer);
          setFailure('');
        },
        (problem: unknown) => setFailure(problemText(problem)),
      )
      .finally(() => setBusy(false));
  };
  return { mine, failure, busy, send };
}

/** The choices as large buttons. */
function Choices({ question, mine, busy, send }: { question: Asked } & Omit<ReturnType<typeof useAnswer>, 'failure'>) {
  return (
    <ul className="mt-3 space-y-2">
      {question.choices.map((choice) => (
        <li key={choice}>
          <Button
            aria-pressed={mine === choice}
            busy={busy}
            className={`min-h-14 w-full border-2 text-start text-xl wrap-anywhere ${mine === choice ? 'bg-ink! font-bold text-ground' : ''}`}
            onClick={() => send(choice)}
          >
            {choice}
          </Button>
        </li>
      ))}
    </ul>
  );
}

function Line({ question, mine, busy, send }: { question: Asked } & Omit<ReturnType<typeof useAnswer>, 'failure'>) {
  const [text, setText] = useState('');
  const isNumber = question.kind === 'number';
  return (
    <form
      className="mt-3 flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') send(isNumber ? text.trim().replace(',', '.') : text);
      }}
    >
      <input
        value={text}
        maxLength={60}
        inputMode={isNumber ? 'decimal' : 'text'}
        aria-label={question.text}
        placeholder={mine ?? ''}
        onChange={(event) => setText(event.target.value)}
        className="min-w-0 flex-1 border-2 border-ink bg-sheet px-3 py-2 text-xl"
      />
      <Button type="submit" className="px-4 text-lg font-semibold" busy={busy} disabled={text.trim() === ''}>
        {m.student_debrief_send()}
      </Button>
    </form>
  );
}

export function Question({ question }: { question: Asked }) {
  const { failure, ...answer } = useAnswer(question.id, question.open);
  const { mine } = answer;
  return (
    <section aria-label={m.student_debrief_question()} className="mb-6 border-2 border-ink bg-sheet p-4">
      {(question.sum === null || question.open) && (
        <h2 className="font-sans text-2xl leading-tight font-semibold wrap-anywhere">{question.text}</h2>
      )}
      {question.open &&
        (question.kind === 'choice' ? (
          <Choices question={question} {...answer} />
        ) : (
          <Line question={question} {...answer} />
        ))}
      {question.open && (
        <p role="status" className="mt-2 min-h-6 text-soft wrap-anywhere">
          {failure !== '' ? (
            <span className="font-semibold text-lost">{failure}</span>
          ) : (
            mine !== null && m.student_debrief_answered({ answer: mine })
          )}
        </p>
      )}
      {question.sum !== null && <SumPicture sum={question.sum} />}
    </section>
  );
}

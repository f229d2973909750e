// The text line of the room a teacher or an assistant is in: they type what is said, everybody there reads it.
import { useMutation } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { api, take } from '../../../api/client';
import { hear } from '../../../api/stream/staffStream';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { useMessages } from '../../../ui/page/messages';
import * as m from '#messages';
import { CaptionLines } from '../own/CaptionLines';
import { useCaptions } from '../own/useCaptions';

const longest = 300;

function CaptionForm({ lesson, place }: { lesson: string; place: string }) {
  const { fail } = useMessages();
  const [text, setText] = useState('');
  const say = useMutation({
    mutationFn: (line: string) =>
      take(
        api.POST('/api/staff/lessons/{id}/rooms/{place}/captions', {
          params: { path: { id: lesson, place } },
          body: { text: line },
        }),
      ),
    onError: (problem, line) => {
      // What was typed is not lost.
      setText((now) => (now === '' ? line : now));
      fail(problem);
    },
  });
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const line = text.trim();
        if (line === '') return;
        setText('');
        say.mutate(line);
      }}
    >
      <Field
        className="flex-1"
        label={m.room_captionField()}
        value={text}
        maxLength={longest}
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" className="mb-0.5">
        {m.room_captionSay()}
      </Button>
    </form>
  );
}

/** What was typed, by whomever; the line to type in opens with a press. */
export function CaptionBar({ lesson, place }: { lesson: string; place: string }) {
  const [isOpen, setIsOpen] = useState(false);
  const ask = useCallback(
    (where: string) =>
      take(
        api.GET('/api/staff/lessons/{id}/rooms/{place}/captions', { params: { path: { id: lesson, place: where } } }),
      ),
    [lesson],
  );
  const lines = useCaptions(place, ask, hear);
  return (
    <div className={isOpen || lines.length > 0 ? 'flex basis-full flex-col gap-2' : ''}>
      <CaptionLines lines={lines} />
      {isOpen ? (
        <CaptionForm lesson={lesson} place={place} />
      ) : (
        <Button look="quiet" className="self-start" onClick={() => setIsOpen(true)}>
          {m.room_captionOpen()}
        </Button>
      )}
    </div>
  );
}
